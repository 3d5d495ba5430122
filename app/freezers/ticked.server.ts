import { data } from "react-router";
import { formFields } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";

/** A carload; more at once is a slip. */
const MOST_PACKS = 400;

export interface Ticked {
  readonly fields: FormData;
  readonly entryId: string;
  readonly packIds: readonly number[];
  /** The page that they were ticked on. */
  readonly back: string;
}

/** The packs that were ticked in a list. @throws a 400 page if there are none, or too many, or the form is not ours */
export async function tickedPacks(request: Request): Promise<Ticked> {
  const fields = await formFields(request);
  const ids = fields.getAll("packId").map(String);
  const entryId = String(fields.get("entryId") ?? "");
  const from = String(fields.get("from") ?? "");
  if (ids.length === 0)
    throw data("Tick the packs first, then choose what to do with them.", { status: 400 });
  if (ids.length > MOST_PACKS || !ids.every((id) => /^\d{1,9}$/.test(id)) || !isEntryId(entryId))
    throw data(`Choose up to ${MOST_PACKS} packs at a time.`, { status: 400 });
  return {
    fields,
    entryId,
    packIds: [...new Set(ids.map(Number))],
    back: /^\d{1,9}$/.test(from) ? `/freezers/place/${from}` : "/freezers",
  };
}
