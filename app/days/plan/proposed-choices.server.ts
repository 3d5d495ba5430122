import { MOST_BIRDS_A_DAY } from "#app/days/plan/day-form.ts";
import { now } from "#app/server/clock.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { instantOf, localClock, localDayOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, isLocalDay } from "#core/calendar/local-day.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { DayChoiceRow } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Age at which each kind is usually ready, days: the middle of 7 to 9, 11 to 13 and 14 to 20 weeks. See docs/sources.md#growth. */
const USUAL_AGE: Readonly<Record<BirdKind, number>> = { fast: 56, slow: 84, mature: 112 };

/** What a new day starts from: the farm's last day where there is one, ours where there is none. */
export function proposedChoices(
  farm: Farm,
  batch: Batch,
  freeCount: number,
  askedDay: string | null,
): DayChoiceRow {
  const last = farmFile().days().at(-1);
  const usual = addDays(batch.hatchedOn, USUAL_AGE[batch.kind]);
  const tomorrow = addDays(localDayOf(now(), farm.timeZone), 1);
  const isAskedGood = askedDay !== null && isLocalDay(askedDay) && askedDay >= batch.hatchedOn;
  const processedOn = isAskedGood ? askedDay : laterOf(usual, tomorrow);
  const start = instantOf(
    processedOn,
    last ? localClock(last.startAt, last.timeZone) : "07:00",
    farm.timeZone,
  );
  return {
    processedOn,
    startAt: start.exists ? start.at : startOfDay(processedOn, farm.timeZone),
    birdCount: Math.min(freeCount, MOST_BIRDS_A_DAY),
    cutUpCount: 0,
    peopleCount: last?.peopleCount ?? 3,
    coneCount: last?.coneCount ?? 3,
    tablePlaceCount: last?.tablePlaceCount ?? 2,
    breakMinutes: last?.breakMinutes ?? 30,
    scaldSchool: last?.scaldSchool ?? "middle",
    withdrawalSchool: last?.withdrawalSchool ?? "short",
    whichBirds: "as-they-come",
  };
}

const laterOf = (one: string, other: string) => (one.localeCompare(other) < 0 ? other : one);
