/** A day, or a stretch of one, on which a pace was seen. */
export interface PaceSeen {
  /** Birds whose minutes were seen, more than 0. */
  readonly birds: number;
  /** Mean of the natural logarithms of their minutes. */
  readonly meanLnMinutes: number;
}

export interface PaceInput {
  /** What is expected before anything was seen, minutes a bird, a median. */
  readonly priorMinutes: number;
  readonly priorSdLn: number;
  /** Spread of whole days, sd of the logarithm; 0 within one day. */
  readonly daySdLn: number;
  readonly birdSdLn: number;
  readonly seen: readonly PaceSeen[];
}

export interface PaceUpdate {
  /** Median, and the band that holds 8 in 10. */
  readonly minutes: number;
  readonly lowMinutes: number;
  readonly highMinutes: number;
  readonly sdLn: number;
  /** How much of the answer is still what was expected, 1 before anything was seen. */
  readonly priorWeight: number;
}

/** Our choices. See docs/sources.md#learning. */
export const PACE_SPREADS = { priorSdLn: 0.3, birdSdLn: 0.35 } as const;

/** z of the 8 in 10 about the middle. */
const Z_8_IN_10 = 1.2815515655446;

/**
 * A pace as it was expected, moved by what was seen: normal prior and normal observations on the logarithm of the minutes.
 *
 * @throws {RangeError} if the expected minutes, the prior's spread or a count of birds is not more than 0
 */
export function paceUpdate({ priorMinutes, priorSdLn, daySdLn, birdSdLn, seen }: PaceInput): PaceUpdate {
  if (!(priorMinutes > 0)) throw new RangeError(`minutes must be more than 0, got ${priorMinutes}`);
  if (!(priorSdLn > 0)) throw new RangeError(`the prior's spread must be more than 0, got ${priorSdLn}`);
  const priorPrecision = 1 / priorSdLn ** 2;
  let precision = priorPrecision;
  let sum = priorPrecision * Math.log(priorMinutes);
  for (const { birds, meanLnMinutes } of seen) {
    if (!(birds > 0)) throw new RangeError(`birds must be more than 0, got ${birds}`);
    const weight = 1 / (daySdLn ** 2 + birdSdLn ** 2 / birds);
    precision += weight;
    sum += weight * meanLnMinutes;
  }
  const meanLn = sum / precision;
  const sdLn = Math.sqrt(1 / precision);
  return {
    minutes: Math.exp(meanLn),
    lowMinutes: Math.exp(meanLn - Z_8_IN_10 * sdLn),
    highMinutes: Math.exp(meanLn + Z_8_IN_10 * sdLn),
    sdLn,
    priorWeight: priorPrecision / precision,
  };
}
