/** A Gompertz curve of the mean live weight of a flock as hatched. */
export interface GrowthCurve {
  /** A curve-fitting number, not a mature weight. */
  readonly asymptoteKilograms: number;
  readonly ratePerDay: number;
  readonly inflectionDays: number;
  /** The farm's own factor on the curve; 1 if absent. */
  readonly scale?: number;
}

/**
 * Mean live weight at an age, kg: W(t) = s A exp(-exp(-k (t - ti))).
 * See docs/sources.md#growth for the range of ages.
 *
 * @param ageDays days from hatch, may be a fraction
 */
export function liveWeightAt(
  ageDays: number,
  { asymptoteKilograms, ratePerDay, inflectionDays, scale = 1 }: GrowthCurve,
): number {
  return scale * asymptoteKilograms * Math.exp(-Math.exp(-ratePerDay * (ageDays - inflectionDays)));
}

/** Gain at an age, kg a day: the curve's slope W k exp(-k (t - ti)). */
export function dailyGainAt(ageDays: number, curve: GrowthCurve): number {
  const { ratePerDay, inflectionDays } = curve;
  return liveWeightAt(ageDays, curve) * ratePerDay * Math.exp(-ratePerDay * (ageDays - inflectionDays));
}

/** Age at which the curve reaches a weight, days; undefined if it never does. @throws {RangeError} if the weight is not more than 0. */
export function ageForWeight(
  kilograms: number,
  { asymptoteKilograms, ratePerDay, inflectionDays, scale = 1 }: GrowthCurve,
): number | undefined {
  if (!(kilograms > 0)) throw new RangeError(`weight must be more than 0 kg, got ${kilograms}`);
  const asymptote = scale * asymptoteKilograms;
  if (kilograms >= asymptote) return undefined;
  return inflectionDays - Math.log(Math.log(asymptote / kilograms)) / ratePerDay;
}
