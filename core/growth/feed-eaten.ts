import type { FeedNeed } from "#core/growth/growth-constants.ts";
import { type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";

/**
 * Feed one surviving bird has taken from the feeder from hatch to an age, kg.
 *
 * Day by day: gain x need for gain + weight at mid-day ^ 0.75 x upkeep, less what pasture gives, more what is spilt.
 * See docs/sources.md#feed.
 *
 * @param ageDays whole days from hatch
 */
export function feedEatenKilograms(ageDays: number, curve: GrowthCurve, need: FeedNeed): number {
  return feedByDay((age) => liveWeightAt(age, curve), need, ageDays)[ageDays]!;
}

/** The same for every whole day of age from 0 on, for a bird whose weight at an age is given. */
export function feedByDay(
  weightAt: (ageDays: number) => number,
  need: FeedNeed,
  lastAgeDays: number,
): Float64Array {
  const share = (1 - need.pastureFraction) / (1 - need.wasteFraction);
  const eaten = new Float64Array(lastAgeDays + 1);
  for (let day = 0; day < lastAgeDays; day += 1) {
    const gain = weightAt(day + 1) - weightAt(day);
    const upkeep = need.maintenanceKilogramsPerKilogram075Day * weightAt(day + 0.5) ** 0.75;
    eaten[day + 1] = eaten[day]! + share * (gain * need.kilogramsPerKilogramGain + upkeep);
  }
  return eaten;
}
