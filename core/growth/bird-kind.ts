/** The kinds of bird that have constants of their own: fast white, slow colored, mature or dual-purpose. */
export const BIRD_KINDS = ["fast", "slow", "mature"] as const;
export type BirdKind = (typeof BIRD_KINDS)[number];
