import { data, redirect } from "react-router";
import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/undo-change.ts";

/** Puts the day back as it was before its last change. */
export async function action({ context, params, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const entryId = String((await formFields(request)).get("entryId") ?? "");
  const before = here.file.run.cursor(day.id);
  if (here.file.changing.undoChange(day.id, entryId, here.now()) === "changed-meanwhile")
    throw data("The day was changed again since, so this can't be undone. Change the plan instead.", {
      status: 409,
    });
  liveDay(here, day.id).changed(before);
  return redirect(`/days/${day.id}/run/change`, 303);
}
