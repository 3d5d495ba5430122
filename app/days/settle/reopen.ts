import { redirect } from "react-router";
import { now } from "#app/server/clock.server.ts";
import { requireDay } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import type { Route } from "./+types/reopen.ts";

/** Opens a settled day again. */
export function action({ params }: Route.ActionArgs) {
  const { day } = requireDay(params.dayId);
  farmFile().settling.reopen(day.id, now());
  return redirect(`/days/${day.id}/settle`, 303);
}
