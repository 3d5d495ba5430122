import { randomUUID } from "node:crypto";
import type { Submission } from "@conform-to/react";
import { parseWithZod } from "@conform-to/zod/v4";
import { data } from "react-router";
import type { z } from "zod";
import { mostBytesTo } from "#app/server/body-limit.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Refusal } from "#app/ui/farm-form.tsx";
import { isEntryId } from "#app/ui/read/read-field.ts";
import type { Entry, Recorded } from "#db/entry.server.ts";

/** An id for a form that is about to be shown. */
export const newEntryId = (): string => randomUUID();

/** No form of ours has more fields, longer names, or lists in lists. A parser of names builds what a name asks for. */
const MAX_FIELDS = 500;
const MAX_NAME_LENGTH = 80;
const FIELD_NAME = /^[a-z][\w-]*(?:\[\d{1,3}\](?:\.[a-z]\w*)?|\.[a-z]\w*)?$/i;
/** Names that an object has already. */
const TAKEN_NAMES = /__|constructor|prototype/;

/**
 * The fields of a form, its size and names checked before anything is made of them.
 *
 * @throws a 413 page if it is too large, or a 400 page if it is no form or no form of ours
 */
export async function formFields(request: Request): Promise<FormData> {
  const bytes = await readAtMost(request, mostBytesTo(new URL(request.url).pathname));
  const contentType = request.headers.get("content-type") ?? "";
  let fields: FormData;
  try {
    fields = await new Response(bytes, { headers: { "content-type": contentType } }).formData();
  } catch {
    throw data("What was sent is not a form.", { status: 400 });
  }
  const names = [...fields.keys()];
  const areOurs = names.every(
    (name) => name.length <= MAX_NAME_LENGTH && FIELD_NAME.test(name) && !TAKEN_NAMES.test(name),
  );
  if (names.length > MAX_FIELDS || !areOurs || hasGaps(names))
    throw data("This is not a Pale Morning form. Nothing was saved.", { status: 400 });
  return fields;
}

/** Whether a list leaves a place out: a parser would make up what is missing there. */
function hasGaps(names: readonly string[]): boolean {
  const places = new Map<string, Set<number>>();
  for (const name of names) {
    const [, list, index] = /^([^[]+)\[(\d+)\]/.exec(name) ?? [];
    if (list !== undefined) places.set(list, (places.get(list) ?? new Set()).add(Number(index)));
  }
  return [...places.values()].some((indexes) => Math.max(...indexes) >= indexes.size);
}

async function readAtMost(request: Request, most: number): Promise<Uint8Array<ArrayBuffer>> {
  const tooLarge = () => data("What was sent is too large. Nothing was saved.", { status: 413 });
  if (Number(request.headers.get("content-length") ?? 0) > most) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.length;
    if (size > most) throw tooLarge();
    chunks.push(chunk);
  }
  return new Uint8Array(Buffer.concat(chunks));
}

type Entered = Record<string, unknown>;

export type Submitted<Value> =
  | {
      readonly ok: true;
      readonly value: Value;
      readonly entry: Entry;
      refuse: (faults: Faults) => ReturnType<typeof refusalPage>;
    }
  | { readonly ok: false; readonly refusal: ReturnType<typeof refusalPage> };

/** What is wrong, by the name of the field; under "" what concerns the whole form. */
export type Faults = Readonly<Record<string, string>>;

/** Reads a form by its schema; what can't be read is answered with what was typed and what is wrong with it. */
export async function submitted<Schema extends z.ZodType<Entered, Entered>>(
  here: FarmContext,
  request: Request,
  schema: Schema,
): Promise<Submitted<z.output<Schema>>> {
  const fields = await formFields(request);
  const submission = parseWithZod(fields, { schema, disableAutoCoercion: true });
  if (submission.status !== "success") return { ok: false, refusal: refusalPage(submission, {}) };
  const entryId = String(fields.get("entryId") ?? "");
  if (!isEntryId(entryId)) {
    return {
      ok: false,
      refusal: refusalPage(submission, { "": "This form lost its ID. Send it again" }),
    };
  }
  return {
    ok: true,
    value: submission.value as z.output<Schema>,
    entry: { entryId, at: here.now() },
    refuse: (faults) => refusalPage(submission, faults),
  };
}

function refusalPage(submission: Submission<Entered, string[], unknown>, faults: Faults) {
  const fieldErrors = Object.fromEntries(
    Object.entries(faults)
      .filter(([name]) => name !== "")
      .map(([name, fault]) => [name, [fault]]),
  );
  const result = submission.reply({ fieldErrors, formErrors: faults[""] ? [faults[""]] : [] });
  return data<Refusal>({ result, entryId: newEntryId() }, { status: 422 });
}

export const ENTRY_USED =
  "This form was already sent with different values, and those were saved. What is below was not. Send it again to save it too";

/** The faults to show where something was not recorded; undefined where it was. */
export function faultsOf<Reason extends string>(
  outcome: Recorded<Reason>,
  faults: Readonly<Record<Reason, Faults>>,
): Faults | undefined {
  if (outcome.recorded) return undefined;
  return outcome.reason === "entry-used" ? { "": ENTRY_USED } : faults[outcome.reason];
}
