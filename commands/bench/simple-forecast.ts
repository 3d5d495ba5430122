import { CHILLED, lineContext } from "#core/processing-line/line-context.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { replicationKey } from "#core/processing-line/line-draws.ts";
import { beginReplication, playOn } from "#core/processing-line/line-run.ts";
import { quantile } from "#core/processing-line/line-tally.ts";
import { normalQuantile } from "#core/quantity/normal.ts";

const PLAYED = 1000;
const DAY_SD_LN = 0.18;

/** Logarithm of the minutes worked until the bird that came last, and the minutes from it to the day's last. */
interface Played {
  readonly untilNow: number;
  readonly left: number;
}

let kept: { day: LineDay; chills: readonly Float64Array[] } | undefined;

/**
 * A simple method to hold the forecast against: from the chill taps alone, with a pace of the day that is normal on the
 * logarithm. Days are played with the usual pace; what is left of each is stretched by a pace from its posterior, and
 * breaks are put back in.
 */
export function simpleForecast(day: LineDay, chillMinutes: readonly number[]): { p10: number; p90: number } {
  const count = chillMinutes.length;
  const now = chillMinutes.at(-1)!;
  if (kept?.day !== day) kept = { day, chills: playedChills(day) };
  const played = kept.chills.map(
    (chills): Played => ({
      untilNow: Math.log(worked(day, chills[count - 1]!)),
      left: worked(day, chills.at(-1)!) - worked(day, chills[count - 1]!),
    }),
  );
  const mean = played.reduce((sum, { untilNow }) => sum + untilNow, 0) / played.length;
  const error = played.reduce((sum, { untilNow }) => sum + (untilNow - mean) ** 2, 0) / played.length;
  const precision = 1 / DAY_SD_LN ** 2 + 1 / error;
  const pace = (Math.log(worked(day, now)) - mean) / error / precision;
  const finishes = played.map(({ left }, index) => {
    const draw = normalQuantile((((index * 0.618034) % 1) * (PLAYED - 1) + 0.5) / PLAYED);
    return backWithBreaks(day, worked(day, now) + Math.exp(pace + draw / Math.sqrt(precision)) * left);
  });
  const sorted = Float64Array.from(finishes).sort();
  return { p10: quantile(sorted, 0.1), p90: quantile(sorted, 0.9) };
}

function playedChills(day: LineDay): Float64Array[] {
  const context = lineContext(day, 5);
  return Array.from({ length: PLAYED }, (_, replication) => {
    const key = replicationKey(5, replication);
    beginReplication(context, key, 1);
    playOn(context, key, undefined);
    return context.state.chilledAt.slice(0, context.state.counts[CHILLED]);
  });
}

function worked(day: LineDay, minute: number): number {
  return day.breaks.reduce(
    (left, { fromMinute, minutes }) =>
      left - Math.max(0, Math.min(minute, fromMinute + minutes) - fromMinute),
    minute,
  );
}

function backWithBreaks(day: LineDay, workedMinutes: number): number {
  return day.breaks.reduce(
    (minute, { fromMinute, minutes }) => (minute > fromMinute ? minute + minutes : minute),
    workedMinutes,
  );
}
