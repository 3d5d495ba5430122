import type { FeedNeed } from "#core/growth/growth-constants.ts";

/**
 * Feed one surviving bird has taken from the feeder from hatch to each whole day of age, kg.
 *
 * Day by day: gain x need for gain + weight at mid-day ^ 0.75 x upkeep, less what pasture gives, more what is spilt.
 * See docs/sources.md#feed.
 *
 * @param weightAt live weight at an age in days, kg
 * @param lastAgeDays whole days
 */
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
