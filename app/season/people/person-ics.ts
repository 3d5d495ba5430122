import { seasonTasks } from "#app/season/calendar/season-tasks.server.ts";
import { calendarFile, calendarResponse } from "#app/season/calendar/write-calendar.server.ts";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { seasonDay } from "#core/day/season/season-day.ts";
import type { Route } from "./+types/person-ics.ts";

/** The scheduled days on which someone can come, as a calendar file for them. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const person = requirePerson(here, params.personId);
  const facts = seasonFacts(here, farm);
  const theirs = seasonTasks(here, farm).filter(
    ({ uid, processedOn }) =>
      uid.endsWith(".day") &&
      seasonDay(facts, processedOn).people.some(({ name, canCome }) => name === person.name && canCome),
  );
  return calendarResponse("days", calendarFile(`${farm.name}, days for ${person.name}`, theirs, here.now()));
}
