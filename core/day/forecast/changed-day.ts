import { MINUTE } from "#core/calendar/milliseconds.ts";
import { dayAsRun } from "#core/day/forecast/day-as-run.ts";
import { type Chance, chanceAt } from "#core/day/forecast/run-forecast.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { liveForecast } from "#core/processing-line/forecast/live-forecast.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";

/** How a day would go with its choices changed. */
export interface ChangedDay {
  /** Undefined where no one may do what is next. */
  readonly lastInChill: Chance | undefined;
  readonly allDone: Chance | undefined;
  /** Birds that are in the chill by the limit, 9 in 10. */
  readonly birdsBy: number;
}

interface ChangedDayInput {
  /** Minute 0 is the planned start, after the change. */
  readonly planned: LineDay;
  /** In order of time; none before the day is started. */
  readonly facts: readonly DayFact[];
  readonly startAt: number;
  readonly now: number;
  /** By when the birds are to be in the chill. */
  readonly limitAt: number;
}

/** Plays a changed day on from where it stands; before it is started, from its beginning. Some tenths of a second. */
export function changedDay({ planned, facts, startAt, now, limitAt }: ChangedDayInput): ChangedDay {
  const { day, soFar, originAt } = dayAsRun(planned, facts, { startAt, now });
  const { lastInChill, finish, chills } = liveForecast(day, soFar, LINE_SEED);
  return {
    lastInChill: chanceAt(originAt, lastInChill),
    allDone: chanceAt(originAt, finish),
    birdsBy: chills.filter(({ p90 }) => originAt + p90 * MINUTE <= limitAt).length,
  };
}
