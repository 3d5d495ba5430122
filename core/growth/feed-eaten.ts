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
  let eaten = 0;
  for (let day = 0; day < ageDays; day += 1) {
    const gain = liveWeightAt(day + 1, curve) - liveWeightAt(day, curve);
    eaten += gain * need.kilogramsPerKilogramGain;
    eaten += need.maintenanceKilogramsPerKilogram075Day * liveWeightAt(day + 0.5, curve) ** 0.75;
  }
  return (eaten * (1 - need.pastureFraction)) / (1 - need.wasteFraction);
}
