import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { GrowthCurve } from "#core/growth/growth-curve.ts";

interface GrowthOfKind {
  readonly curve: GrowthCurve;
  readonly maleFactor: number;
  readonly femaleFactor: number;
}

/**
 * Gompertz curves fitted to customary pastured weights: our estimate until a farm weighs its own birds;
 * farms differ by 15 % either way. Not past 10, 16 and 20 weeks. See docs/sources.md#growth.
 */
export const GROWTH: Readonly<Record<BirdKind, GrowthOfKind>> = {
  fast: {
    curve: { asymptoteKilograms: 7.0, ratePerDay: 0.0335, inflectionDays: 48.7 },
    maleFactor: 1.08,
    femaleFactor: 0.92,
  },
  slow: {
    curve: { asymptoteKilograms: 5.0, ratePerDay: 0.0267, inflectionDays: 58.9 },
    maleFactor: 1.11,
    femaleFactor: 0.89,
  },
  mature: {
    curve: { asymptoteKilograms: 3.6, ratePerDay: 0.0218, inflectionDays: 69.6 },
    maleFactor: 1.13,
    femaleFactor: 0.87,
  },
};

/** Oldest age for which a kind's curve may be read, days. See docs/sources.md#growth. */
export const OLDEST_READABLE_DAYS: Readonly<Record<BirdKind, number>> = { fast: 70, slow: 112, mature: 140 };

/** Spread of weight between birds of one sex; plausible 0.08 to 0.14. See docs/sources.md#growth. */
export const CV_WITHIN_SEX = 0.11;

/** How a farm's own scale on the curve is learned from weighings. See docs/sources.md#growth. */
export const GROWTH_LEARNING = {
  priorSdLn: 0.12,
  driftSdLnPerRootDay: 0.008,
  weighingBiasSdLn: 0.02,
  cvPriorBirds: 10,
} as const;

export interface FeedNeed {
  readonly kilogramsPerKilogramGain: number;
  readonly maintenanceKilogramsPerKilogram075Day: number;
  readonly pastureFraction: number;
  readonly wasteFraction: number;
}

/** Feed for gain and for upkeep, what pasture saves and what is spilt. See docs/sources.md#feed. */
export const FEED_NEED: Readonly<Record<BirdKind, FeedNeed>> = {
  fast: {
    kilogramsPerKilogramGain: 1.1,
    maintenanceKilogramsPerKilogram075Day: 0.045,
    pastureFraction: 0.03,
    wasteFraction: 0.1,
  },
  slow: {
    kilogramsPerKilogramGain: 1.2,
    maintenanceKilogramsPerKilogram075Day: 0.045,
    pastureFraction: 0.06,
    wasteFraction: 0.1,
  },
  mature: {
    kilogramsPerKilogramGain: 1.3,
    maintenanceKilogramsPerKilogram075Day: 0.048,
    pastureFraction: 0.08,
    wasteFraction: 0.1,
  },
};
