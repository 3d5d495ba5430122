import { data, redirect } from "react-router";
import { z } from "zod";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { choice, entryId, wholeNumber } from "#app/ui/read/read-field.ts";
import { REDO_CAUSES } from "#core/packing/redo.ts";
import { WHOLE_BIRD } from "#db/pack/pack-queries.server.ts";
import type { Route } from "./+types/redo.ts";

const redoForm = z.object({
  entryId,
  productId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "" }),
  cause: choice(REDO_CAUSES, "Choose what went wrong"),
});

/** A pack had to be done again: counted with its cause, one tap each. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const read = redoForm.safeParse(Object.fromEntries(await formFields(request)));
  if (!read.success) throw data("Choose what went wrong with the pack. Nothing was saved.", { status: 422 });
  const { entryId: id, ...redo } = read.data;
  const outcome = here.file.redoing.recordRedo({ entryId: id, at: here.now() }, day.id, redo);
  if (!outcome.recorded)
    throw data("That product was removed, or this was saved before. Reload the page.", { status: 409 });
  return redirect(
    `/days/${day.id}/pack${redo.productId === WHOLE_BIRD ? "" : `/parts/${redo.productId}`}`,
    303,
  );
}
