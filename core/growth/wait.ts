import type { BirdKind } from "#core/growth/bird-kind.ts";

/** Birds lost in an ordinary week on pasture, as a share: choice. See docs/sources.md#losses. */
export const LOSS_A_WEEK: Readonly<Record<BirdKind, number>> = { fast: 0.01, slow: 0.005, mature: 0.005 };

export interface WaitInput {
  /** Mean dressed weight now and at the end of the wait, kg. */
  readonly dressedNowKilograms: number;
  readonly dressedLaterKilograms: number;
  /** Feed that a surviving bird takes in between, kg. */
  readonly feedKilogramsEach: number;
  /** Share of the birds lost in between. */
  readonly lossFraction: number;
  readonly centsPerDressedKilogram: number;
  readonly centsPerFeedKilogram: number;
  /** Whatever else a bird costs in the time: bedding, hands. */
  readonly otherCentsEach: number;
}

export interface Wait {
  /** More meat a bird that stands today, those lost in between counted as nothing, kg. */
  readonly gainKilogramsEach: number;
  /** Feed a bird that stands today, kg: those lost eat for half the time. */
  readonly feedKilogramsEach: number;
  /** What the wait earns a bird that stands today, cents; may be negative. */
  readonly earnsCentsEach: number;
  /** What the next kilogram of meat costs, cents; undefined where there is no more meat. */
  readonly centsPerGainedKilogram: number | undefined;
}

/** What it comes to if the birds are given more time. See docs/sources.md#wait. */
export function wait(of: WaitInput): Wait {
  const gain = (1 - of.lossFraction) * of.dressedLaterKilograms - of.dressedNowKilograms;
  const feed = of.feedKilogramsEach * (1 - of.lossFraction / 2);
  const cost = feed * of.centsPerFeedKilogram + of.otherCentsEach;
  return {
    gainKilogramsEach: gain,
    feedKilogramsEach: feed,
    earnsCentsEach: gain * of.centsPerDressedKilogram - cost,
    centsPerGainedKilogram: gain > 0 ? cost / gain : undefined,
  };
}
