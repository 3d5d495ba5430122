export interface SexMix {
  /** Share of males, 0 to 1. */
  readonly maleShare: number;
  readonly maleFactor: number;
  readonly femaleFactor: number;
  readonly cvWithinSex: number;
}

export interface FlockOfSexes {
  readonly maleKilograms: number;
  readonly femaleKilograms: number;
  readonly meanKilograms: number;
  readonly sdKilograms: number;
  /** Coefficient of variation over both sexes. */
  readonly cv: number;
}

/**
 * Mean and spread of a flock of both sexes, each normal about its own mean.
 * The variance is (1 + cv²)(p Wm² + (1-p) Wf²) - mean². See docs/sources.md#growth.
 *
 * @param curveKilograms weight on the as-hatched curve, kg
 * @throws {RangeError} if the share of males is not between 0 and 1
 */
export function flockOfSexes(
  curveKilograms: number,
  { maleShare, maleFactor, femaleFactor, cvWithinSex }: SexMix,
): FlockOfSexes {
  if (!(maleShare >= 0 && maleShare <= 1))
    throw new RangeError(`share of males must be 0 to 1, got ${maleShare}`);
  const maleKilograms = curveKilograms * maleFactor;
  const femaleKilograms = curveKilograms * femaleFactor;
  const meanKilograms = maleShare * maleKilograms + (1 - maleShare) * femaleKilograms;
  const meanSquare =
    (1 + cvWithinSex ** 2) * (maleShare * maleKilograms ** 2 + (1 - maleShare) * femaleKilograms ** 2);
  const sdKilograms = Math.sqrt(meanSquare - meanKilograms ** 2);
  return { maleKilograms, femaleKilograms, meanKilograms, sdKilograms, cv: sdKilograms / meanKilograms };
}

/** Birds of one sex are never more alike than this: choice. */
const LEAST_CV_WITHIN_SEX = 0.04;

/** Spread within a sex that gives a flock of both this spread over all its birds. */
export function cvWithinSexFor({ maleShare, maleFactor, femaleFactor }: SexMix, cv: number): number {
  const mean = maleShare * maleFactor + (1 - maleShare) * femaleFactor;
  const meanSquare = maleShare * maleFactor ** 2 + (1 - maleShare) * femaleFactor ** 2;
  return Math.sqrt(Math.max(LEAST_CV_WITHIN_SEX ** 2, ((1 + cv ** 2) * mean ** 2) / meanSquare - 1));
}
