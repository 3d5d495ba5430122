/** What a carcass loses while it rests. Choices: weigh a few before and after. See docs/sources.md#rest. */
export const REST_LOSS = {
  /** Drips off in the first day, share. */
  dripFraction: 0.015,
  /** Dries off the skin, share a day, of an open carcass. */
  dryingFractionPerDay: 0.008,
  coverFactor: { open: 1, wrapped: 0.3 },
  leastShare: 0.9,
} as const;

export type Cover = keyof typeof REST_LOSS.coverFactor;

export interface RestLoss {
  readonly hours: number;
  readonly dripFraction: number;
  readonly dryingFractionPerDay: number;
  /** 1 for an open carcass, less under a cover. */
  readonly coverFactor: number;
}

/**
 * Weight of a carcass after its rest, in the unit it was given in; never below nine tenths of what it was. It starts where the
 * water of the chill has drained. See docs/sources.md#rest.
 *
 * @throws {RangeError} if the weight or the hours are negative
 */
export function restWeight(
  weight: number,
  { hours, dripFraction, dryingFractionPerDay, coverFactor }: RestLoss,
): { readonly weight: number; readonly lostFraction: number } {
  if (!(weight >= 0)) throw new RangeError(`weight must be 0 or more, got ${weight}`);
  if (!(hours >= 0)) throw new RangeError(`hours must be 0 or more, got ${hours}`);
  const days = hours / 24;
  const left = (1 - dripFraction * Math.min(1, days)) * (1 - dryingFractionPerDay * coverFactor * days);
  const share = Math.max(REST_LOSS.leastShare, left);
  return { weight: weight * share, lostFraction: 1 - share };
}
