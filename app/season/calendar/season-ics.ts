import { seasonTasks } from "#app/season/calendar/season-tasks.server.ts";
import { calendarFile, calendarResponse } from "#app/season/calendar/write-calendar.server.ts";
import { now } from "#app/server/clock.server.ts";
import { requireFarm } from "#app/server/farm-file.server.ts";

/** All set days and what follows from them, as a calendar file. */
export function loader() {
  const farm = requireFarm();
  return calendarResponse("season", calendarFile(`${farm.name}, processing days`, seasonTasks(farm), now()));
}
