import { type CarcassKilograms, carcassKilograms, type LiveKilograms } from "#core/quantity/quantity.ts";

export interface CutShares {
  /** Each cut as a share of dressed weight; they add to 1. */
  readonly ofDressed: Readonly<Record<string, number>>;
  /** Each giblet as a share of live weight. */
  readonly ofLive: Readonly<Record<string, number>>;
  readonly cookedMeatOfRawFrame: number;
}

/** Dressed weight of a live bird. @throws {RangeError} if the fraction is not between 0 and 1. */
export function dressedWeight(live: LiveKilograms, dressedFraction: number): CarcassKilograms {
  if (!(dressedFraction > 0 && dressedFraction < 1))
    throw new RangeError(`dressed fraction must be between 0 and 1, got ${dressedFraction}`);
  return carcassKilograms(live * dressedFraction);
}

/** What a live bird comes to: dressed, cut by cut, giblet by giblet, kg. See docs/sources.md#yield. */
export function expectedCuts(live: LiveKilograms, dressedFraction: number, shares: CutShares) {
  const dressed = dressedWeight(live, dressedFraction);
  const weights = (parts: Readonly<Record<string, number>>, whole: number) =>
    Object.fromEntries(Object.entries(parts).map(([part, share]) => [part, share * whole]));
  const cuts = weights(shares.ofDressed, dressed);
  const offal = weights(shares.ofLive, live);
  const offalKilograms = Object.values(offal).reduce((sum, weight) => sum + weight, 0);
  return {
    dressed,
    cuts,
    offal,
    pickedCookedKilograms: (cuts.frame ?? 0) * shares.cookedMeatOfRawFrame,
    soldFractionOfLive: (dressed + offalKilograms) / live,
  };
}
