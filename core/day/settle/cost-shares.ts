import type { LocalDay } from "#core/calendar/local-day.ts";
import type { CostShare } from "#core/cost/batch-cost.ts";
import type { Flock } from "#core/growth/flock.ts";
import { feedEatenBy } from "#core/growth/flock-forecast.ts";
import { flockPath } from "#core/growth/flock-path.ts";

/** A processing day of a batch, and how many birds were dressed on it. */
export interface DressedDay {
  readonly id: number;
  readonly processedOn: LocalDay;
  readonly birds: number;
}

export interface CostShares {
  /** First those of the days, in the order of `dayIds`; last that of the birds still alive, where there are any. */
  readonly shares: readonly CostShare[];
  readonly dayIds: readonly number[];
  readonly stillAlive: number;
}

/**
 * Who bears a batch's cost: each processing day with dressed birds, and the birds still alive, by what they have eaten.
 *
 * @param stillAlive birds; less than none, as where a loss was counted twice, is taken as none
 */
export function costShares(
  flock: Flock,
  days: readonly DressedDay[],
  { stillAlive, today }: { readonly stillAlive: number; readonly today: LocalDay },
): CostShares {
  const path = flockPath(flock);
  const dressed = days.filter(({ birds }) => birds > 0);
  const living = Math.max(0, stillAlive);
  const shareOf = (birds: number, day: LocalDay): CostShare => ({
    birds,
    feedKilogramsEach: feedEatenBy(day, flock, path),
  });
  return {
    shares: [
      ...dressed.map(({ birds, processedOn }) => shareOf(birds, processedOn)),
      ...(living > 0 ? [shareOf(living, today)] : []),
    ],
    dayIds: dressed.map(({ id }) => id),
    stillAlive: living,
  };
}
