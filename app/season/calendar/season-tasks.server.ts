import { tasksOfDay } from "#app/server/day/tasks-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { TaskWords } from "#app/words/task-words.ts";
import { instantOf, startOfDay } from "#core/calendar/farm-time.ts";
import type { LocalDay } from "#core/calendar/local-day.ts";
import type { DayTask } from "#core/day/tasks/task-shapes.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A task with the id by which other calendars know it, and how often its day was changed. */
export interface SeasonTask extends Omit<DayTask, "id" | "key" | "facts" | "isOnTheLine">, TaskWords {
  readonly uid: string;
  readonly revision: number;
  readonly dayId: number | undefined;
  readonly processedOn: LocalDay;
}

/** Tasks of every scheduled day that is not settled, and of chicks that are awaited, in order of time. */
export function seasonTasks(here: FarmContext, farm: Farm): SeasonTask[] {
  const file = here.file;
  const ofDays = file.openDays().flatMap((day) =>
    tasksOfDay(here, farm, day)
      .filter(({ isOnTheLine }) => !isOnTheLine)
      .map(({ id, key: _key, facts: _facts, isOnTheLine: _onTheLine, ...task }) => ({
        ...task,
        uid: `${day.entryId}.${id}`,
        revision: day.revision,
        dayId: day.id,
        processedOn: day.processedOn,
      })),
  );
  const ofChicks = file
    .batches()
    .flatMap(({ id, name, awaitedOn, arrivedCount }) =>
      awaitedOn === undefined ? [] : [chicksCome(farm, { id, name, awaitedOn, count: arrivedCount })],
    );
  return [...ofDays, ...ofChicks].toSorted((one, other) => one.at - other.at);
}

function chicksCome(
  farm: Farm,
  { id, name, awaitedOn, count }: { id: number; name: string; awaitedOn: LocalDay; count: number },
): SeasonTask {
  return {
    uid: `batch-${id}-${farm.latitudeMicrodegrees}${farm.longitudeMicrodegrees}.chicks`,
    revision: 1,
    dayId: undefined,
    processedOn: awaitedOn,
    title: `Chicks arrive: ${count} of ${name}`,
    who: undefined,
    why: "warm the brooder the day before; have water ready",
    at: morning(awaitedOn, farm.timeZone),
    minutes: 60,
  };
}

/** Eight in the morning of a day. */
function morning(day: LocalDay, timeZone: string): number {
  const instant = instantOf(day, "08:00", timeZone);
  return instant.exists ? instant.at : startOfDay(day, timeZone);
}
