import { data } from "react-router";
import { seasonTasks } from "#app/season/season-tasks.server.ts";
import { calendarFile, calendarResponse } from "#app/season/write-calendar.server.ts";
import { now } from "#app/server/clock.server.ts";
import { idFrom } from "#app/server/day-reading.server.ts";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";
import { seasonFacts } from "#app/server/season-reading.server.ts";
import { seasonDay } from "#core/day/season-day.ts";
import type { Route } from "./+types/person-ics.ts";

/** The set days on which somebody can come, as a calendar file for them. */
export function loader({ params }: Route.LoaderArgs) {
  const farm = requireFarm();
  const id = idFrom(params.personId, "person");
  const person = farmFile()
    .people.people()
    .find((one) => one.id === id);
  if (!person) throw data("There is nobody of that number.", { status: 404 });
  const facts = seasonFacts(farm);
  const theirs = seasonTasks(farm).filter(
    ({ uid, processedOn }) =>
      uid.endsWith(".day") &&
      seasonDay(facts, processedOn).people.some(({ name, canCome }) => name === person.name && canCome),
  );
  return calendarResponse("days", calendarFile(`${farm.name}, days for ${person.name}`, theirs, now()));
}
