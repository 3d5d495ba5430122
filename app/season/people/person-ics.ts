import { seasonTasks } from "#app/season/calendar/season-tasks.server.ts";
import { calendarFile, calendarResponse } from "#app/season/calendar/write-calendar.server.ts";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { now } from "#app/server/clock.server.ts";
import { requireFarm } from "#app/server/farm-file.server.ts";
import { seasonFacts } from "#app/server/season-reading.server.ts";
import { seasonDay } from "#core/day/season/season-day.ts";
import type { Route } from "./+types/person-ics.ts";

/** The set days on which someone can come, as a calendar file for them. */
export function loader({ params }: Route.LoaderArgs) {
  const farm = requireFarm();
  const person = requirePerson(params.personId);
  const facts = seasonFacts(farm);
  const theirs = seasonTasks(farm).filter(
    ({ uid, processedOn }) =>
      uid.endsWith(".day") &&
      seasonDay(facts, processedOn).people.some(({ name, canCome }) => name === person.name && canCome),
  );
  return calendarResponse("days", calendarFile(`${farm.name}, days for ${person.name}`, theirs, now()));
}
