import { iceBagsLeft } from "#app/server/day/ice-left.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { type TaskWords, taskInWords } from "#app/words/task-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import { rulesOf } from "#core/day/crew/crew.ts";
import { comes } from "#core/day/crew/who-can-come.ts";
import { type DayTask, dayTasks, type TaskPerson } from "#core/day/tasks/day-tasks.ts";
import { NO_RULES } from "#core/safety/person-rules.ts";
import { REST_DAYS } from "#core/season/season-constants.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Past these many days before and after a day nothing is asked of anybody for it. */
const AROUND_DAYS = 30;

/** What follows from a day, each with who would do it. */
export function tasksOfDay(here: FarmContext, farm: Farm, day: ProcessingDay): (DayTask & TaskWords)[] {
  const file = here.file;
  const today = localDayOf(here.now(), farm.timeZone);
  const terms = seasonTerms(here, farm, file.season.setting(), today);
  const isBooked = file.season
    .bookings()
    .some(
      ({ thing, fromOn, toOn }) =>
        thing.toLowerCase() === terms.hiredThing.toLowerCase() &&
        fromOn <= day.processedOn &&
        day.processedOn <= toOn,
    );
  const planned = planOf(here, farm, day, iceBagsLeft(here, farm, day));
  const tasks = dayTasks({
    processedOn: day.processedOn,
    choices: planned.choices,
    timeZone: day.timeZone,
    plan: planned.plan,
    restDays: terms.restDays ?? Math.max(...planned.plan.lots.map(({ kind }) => REST_DAYS[kind])),
    people: peopleAround(here, day),
    toBook: terms.hiredThing !== "" && !isBooked ? terms.hiredThing : undefined,
    today,
  });
  return tasks.map(taskInWords);
}

/** The farm's people, and helpers without a name who come on the day only. */
function peopleAround(here: FarmContext, day: ProcessingDay): TaskPerson[] {
  const { people, personDays } = here.file.people;
  const said = personDays(addDays(day.processedOn, -AROUND_DAYS), addDays(day.processedOn, AROUND_DAYS));
  const year = Number(day.processedOn.slice(0, 4));
  const known = people().map((person) => ({
    name: person.name,
    rules: rulesOf(person, year),
    station: day.crew.find(({ personId }) => personId === person.id)?.stations[0],
    isThere: (on: string, minute: number) =>
      // Who stands in the day's crew comes, whatever their weekdays say.
      (comes(person, said, on).canCome ||
        (on === day.processedOn && day.crew.some(({ personId }) => personId === person.id))) &&
      minute >= (person.fromMinute ?? 0) &&
      minute < (person.toMinute ?? Number.POSITIVE_INFINITY),
  }));
  const others = day.crew
    .filter(({ personId }) => personId === undefined)
    .map(({ name, stations }) => ({
      name,
      rules: NO_RULES,
      station: stations[0],
      isThere: (on: string) => on === day.processedOn,
    }));
  return [...known, ...others];
}
