import { EIGHT_IN_TEN } from "#core/growth/growth-update.ts";

export interface WeighInSummary {
  readonly birds: number;
  readonly meanKilograms: number;
  /** Sample standard deviation; undefined for a single bird. */
  readonly sdKilograms: number | undefined;
}

/** Mean and spread of birds weighed one after another. @throws {RangeError} if there is none. */
export function weighInSummary(kilograms: readonly number[]): WeighInSummary {
  if (kilograms.length === 0) throw new RangeError("a weigh-in needs a bird, got none");
  const meanKilograms = kilograms.reduce((sum, weight) => sum + weight, 0) / kilograms.length;
  const squares = kilograms.reduce((sum, weight) => sum + (weight - meanKilograms) ** 2, 0);
  return {
    birds: kilograms.length,
    meanKilograms,
    sdKilograms: kilograms.length > 1 ? Math.sqrt(squares / (kilograms.length - 1)) : undefined,
  };
}

/**
 * How many birds a weigh-in needs in all for its mean to lie within a distance of the flock's 8 times in 10.
 *
 * (z sd / distance)², with the correction for a flock that is not endless. The spread seen so far is pooled
 * with what is usual, so that two birds that happen to be alike don't end the weighing.
 * Normal theory of sampling without replacement; see docs/sources.md#growth.
 *
 * @param cvUsual spread between birds before any was weighed, coefficient of variation
 * @param cvPriorBirds birds that this prior is worth
 */
export function birdsToWeigh(
  summary: WeighInSummary,
  flock: { readonly birds: number; readonly cvUsual: number; readonly cvPriorBirds: number },
  withinKilograms: number,
): number {
  const { birds, meanKilograms, sdKilograms } = summary;
  const seen = sdKilograms === undefined ? 0 : (birds - 1) * (sdKilograms / meanKilograms) ** 2;
  const weight = sdKilograms === undefined ? flock.cvPriorBirds : flock.cvPriorBirds - 1 + birds;
  const cv = Math.sqrt((flock.cvPriorBirds * flock.cvUsual ** 2 + seen) / weight);
  const endless = ((EIGHT_IN_TEN * cv * meanKilograms) / withinKilograms) ** 2;
  return Math.min(flock.birds, Math.ceil(endless / (1 + (endless - 1) / flock.birds)));
}
