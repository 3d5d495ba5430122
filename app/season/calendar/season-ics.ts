import { seasonTasks } from "#app/season/calendar/season-tasks.server.ts";
import { calendarFile, calendarResponse } from "#app/season/calendar/write-calendar.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import type { Route } from "./+types/season-ics.ts";

/** All scheduled days and what follows from them, as a calendar file. */
export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return calendarResponse(
    "season",
    calendarFile(`${farm.name}, processing days`, seasonTasks(here, farm), here.now()),
  );
}
