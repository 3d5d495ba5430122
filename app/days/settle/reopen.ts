import { redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/reopen.ts";

/** Opens a settled day again. */
export function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  here.file.settling.reopen(day.id, here.now());
  return redirect(`/days/${day.id}/settle`, 303);
}
