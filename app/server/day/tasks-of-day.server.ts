import { group } from "d3-array";
import { iceBagsLeft } from "#app/server/day/ice-left.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { type PartAtRest, restOfDay } from "#app/server/day/rest-of-day.server.ts";
import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { type TaskWords, taskInWords } from "#app/words/task-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { rulesOf } from "#core/day/crew/crew.ts";
import { comes } from "#core/day/crew/who-can-come.ts";
import { dayTasks } from "#core/day/tasks/day-tasks.ts";
import type { DayTask, LoadUnderWay, PartToRest, TaskPerson } from "#core/day/tasks/task-shapes.ts";
import { NO_RULES } from "#core/safety/person-rules.ts";
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
    rest: partsToRest(here, farm, day),
    keepsFeet: day.lots.some(({ keepsFeet }) => keepsFeet),
    loads: loadsUnderWay(here, day.id),
    people: peopleAround(here, day),
    toBook: terms.hiredThing !== "" && !isBooked ? terms.hiredThing : undefined,
    today,
  });
  return tasks.map(taskInWords);
}

/** What still dries or boils, and when someone looked at it last. */
function loadsUnderWay({ file }: FarmContext, dayId: number): LoadUnderWay[] {
  const looked = group(file.byProducts.checks(dayId), ({ byProductId }) => byProductId);
  return file.byProducts
    .loads(dayId)
    .filter(({ endedAt }) => endedAt === undefined)
    .map(({ id, kind, startedAt }) => ({
      id,
      kind,
      lookedAt: looked.get(id)?.at(-1)?.checkedAt ?? startedAt,
    }));
}

/** The parts of the day's rest as far as they make work; those that wait equally long are one. */
function partsToRest(here: FarmContext, farm: Farm, day: ProcessingDay): PartToRest[] {
  const { parts } = restOfDay(here, farm, day);
  const cutUp = day.lots.reduce((sum, lot) => sum + lot.cutUp, 0);
  const [first, ...others] = [...group(parts, ({ times }) => times.nights)].toSorted(
    ([one], [other]) => one - other,
  );
  const partOf = ([nights, alike]: [number, PartAtRest[]], ofThemCut: number): PartToRest => ({
    birds: alike.reduce((sum, { birds }) => sum + birds, 0),
    days: nights,
    // Birds to be cut are cut as soon as the first of them may be.
    cutUp: day.packsSameDay ? 0 : ofThemCut,
    brineOutAt: brineOutAt(here, day, alike),
  });
  if (!first) return [{ birds: 0, days: 1, cutUp: 0, brineOutAt: undefined }];
  return [partOf(first, cutUp), ...others.map((one) => partOf(one, 0))];
}

/** From when they went in, or from when they will have been cold for an hour. */
function brineOutAt(here: FarmContext, day: ProcessingDay, parts: readonly PartAtRest[]): number | undefined {
  const brined = parts.find(({ brineHours }) => brineHours !== undefined);
  if (!brined) return undefined;
  const wentIn = here.file.resting.facts(day.id).findLast(({ kind }) => kind === "brine-in")?.at;
  return (wentIn ?? brined.times.lastKillAt + BRINE_AFTER_HOURS * HOUR) + brined.brineHours! * HOUR;
}

/** Birds go into a brine once they are cold. Choice. */
const BRINE_AFTER_HOURS = 4;

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
