import { data, redirect } from "react-router";
import { z } from "zod";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { entryId, words } from "#app/ui/read/read-field.ts";
import type { Route } from "./+types/check-load.ts";

const Check = z.object({ entryId, note: words(200, "Write what you found") });

/** Someone looked at a load: what was found. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const read = Check.safeParse(Object.fromEntries(await formFields(request)));
  if (!read.success)
    throw data("Write what you found, such as “still soft inside”. Go back and try again.", { status: 422 });
  const outcome = here.file.byProducts.check(
    { entryId: read.data.entryId, at: here.now() },
    day.id,
    idFrom(params.loadId, "load"),
    read.data.note,
  );
  if (!outcome.recorded)
    throw data("That load was removed, or this was saved before. Reload the page.", { status: 409 });
  return redirect(`/days/${day.id}/cut/by-products`, 303);
}
