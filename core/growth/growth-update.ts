import { type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";

/** One weigh-in: how many birds, their mean, and their sample standard deviation where known. */
export interface WeighIn {
  readonly ageDays: number;
  readonly birds: number;
  readonly meanKilograms: number;
  readonly sdKilograms?: number | undefined;
  /** What the curve says of that day, where weather or a taking moved it; the curve at the age if absent. */
  readonly curveKilograms?: number;
}

export interface LearningRate {
  readonly priorSdLn: number;
  readonly driftSdLnPerRootDay: number;
  readonly weighingBiasSdLn: number;
  readonly cvPriorBirds: number;
}

export interface LearnedScale {
  readonly lnScale: number;
  readonly lnScaleSd: number;
  readonly scale: number;
  /** Age of the last weigh-in, days; undefined if there was none. */
  readonly lastAgeDays: number | undefined;
}

interface LearningInput {
  readonly curve: GrowthCurve;
  /** In any order; may be empty. */
  readonly weighIns: readonly WeighIn[];
  /** Spread between birds before any was weighed, as a coefficient of variation. */
  readonly cvPrior: number;
  readonly rate: LearningRate;
}

/**
 * Learns a flock's own factor on the growth curve: one log-normal scale that drifts from day to day,
 * updated by each weigh-in in order of age (a one-dimensional Kalman filter).
 * See docs/sources.md#growth. An empty list gives the prior back.
 */
export function learnedScale({ curve, weighIns, cvPrior, rate }: LearningInput): LearnedScale {
  let lnScale = 0;
  let variance = rate.priorSdLn ** 2;
  let lastAgeDays: number | undefined;
  for (const weighIn of weighIns.toSorted((one, other) => one.ageDays - other.ageDays)) {
    const { ageDays, birds, meanKilograms, sdKilograms } = weighIn;
    const expected = weighIn.curveKilograms ?? liveWeightAt(ageDays, curve);
    if (lastAgeDays !== undefined) variance += rate.driftSdLnPerRootDay ** 2 * (ageDays - lastAgeDays);
    const cvSquared =
      birds > 1 && sdKilograms !== undefined
        ? (rate.cvPriorBirds * cvPrior ** 2 + (birds - 1) * (sdKilograms / meanKilograms) ** 2) /
          (rate.cvPriorBirds - 1 + birds)
        : cvPrior ** 2;
    const noise = cvSquared / birds + rate.weighingBiasSdLn ** 2;
    const trust = variance / (variance + noise);
    lnScale += trust * (Math.log(meanKilograms / expected) - lnScale);
    variance *= 1 - trust;
    lastAgeDays = ageDays;
  }
  return { lnScale, lnScaleSd: Math.sqrt(variance), scale: Math.exp(lnScale), lastAgeDays };
}

export interface WeightForecast {
  readonly meanKilograms: number;
  /** The flock's mean lies between low and high 8 times in 10. */
  readonly lowKilograms: number;
  readonly highKilograms: number;
  readonly sdLn: number;
}

/** Standard normal quantile at 0.9: 8 in 10 lie within this many standard deviations. */
export const EIGHT_IN_TEN = 1.281552;

/** Forecast of the flock's mean live weight at an age, with its band of 8 in 10, from what the curve says of it. */
export function weightForecast(
  ageDays: number,
  curveKilograms: number,
  learned: LearnedScale,
  driftSdLnPerRootDay: number,
): WeightForecast {
  const drift =
    learned.lastAgeDays === undefined
      ? 0
      : driftSdLnPerRootDay ** 2 * Math.max(0, ageDays - learned.lastAgeDays);
  const sdLn = Math.sqrt(learned.lnScaleSd ** 2 + drift);
  const meanKilograms = curveKilograms * learned.scale;
  return {
    meanKilograms,
    lowKilograms: meanKilograms * Math.exp(-EIGHT_IN_TEN * sdLn),
    highKilograms: meanKilograms * Math.exp(EIGHT_IN_TEN * sdLn),
    sdLn,
  };
}
