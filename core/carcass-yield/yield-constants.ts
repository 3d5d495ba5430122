import type { CutShares } from "#core/carcass-yield/expected-cuts.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";

/** Dressed weight, warm, without giblets, neck and feet, over live weight at the kill. See docs/sources.md#yield. */
export const DRESSED_FRACTION: Readonly<Record<BirdKind, number>> = { fast: 0.72, slow: 0.69, mature: 0.65 };

/** Past this share of the live weight no chicken dresses: something else was typed. Choice. See docs/sources.md#yield. */
export const MOST_DRESSED_FRACTION = 0.8;

/** Shares of each kind, in line with extension figures; breast within 0.03 either way. See docs/sources.md#yield. */
export const CUT_SHARES: Readonly<Record<BirdKind, CutShares>> = {
  fast: {
    ofDressed: { breast_boneless: 0.28, leg_quarters: 0.31, wings: 0.1, frame: 0.23, trim: 0.08 },
    ofLive: { liver: 0.02, heart: 0.005, gizzard: 0.013, neck: 0.025, feet: 0.04 },
    cookedMeatOfRawFrame: 0.2,
  },
  slow: {
    ofDressed: { breast_boneless: 0.22, leg_quarters: 0.34, wings: 0.115, frame: 0.245, trim: 0.08 },
    ofLive: { liver: 0.018, heart: 0.005, gizzard: 0.017, neck: 0.03, feet: 0.042 },
    cookedMeatOfRawFrame: 0.2,
  },
  mature: {
    ofDressed: { breast_boneless: 0.175, leg_quarters: 0.355, wings: 0.125, frame: 0.275, trim: 0.07 },
    ofLive: { liver: 0.017, heart: 0.006, gizzard: 0.02, neck: 0.035, feet: 0.045 },
    cookedMeatOfRawFrame: 0.2,
  },
};
