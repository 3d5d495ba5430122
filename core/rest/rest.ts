import type { BirdKind } from "#core/growth/bird-kind.ts";

/** Hours from the kill of a bird. */
export interface RestClock {
  /** Rigor sets in. */
  readonly onsetHours: number;
  /** Rigor has passed: the bird may be frozen or cooked. */
  readonly passedHours: number;
  /** The rest that we propose. */
  readonly proposedHours: number;
}

/**
 * One table of rigor and rest, counted from the kill of each bird, that every screen, task and season uses. Practice, not science:
 * our estimate until the farm knows better; a leg that bends freely decides. See docs/sources.md#rest.
 */
export const REST_CLOCKS: Readonly<Record<BirdKind, RestClock>> = {
  fast: { onsetHours: 1, passedHours: 24, proposedHours: 24 },
  slow: { onsetHours: 1, passedHours: 24, proposedHours: 48 },
  mature: { onsetHours: 1, passedHours: 48, proposedHours: 72 },
};

const HOURS_PER_DAY = 24;
/** The rest that we propose, whole days. */
export const proposedRestDays = (kind: BirdKind): number => REST_CLOCKS[kind].proposedHours / HOURS_PER_DAY;

export type RestStage = "before-rigor" | "in-rigor" | "rested";

/** Where a bird stands that was killed so many hours ago; both edges belong to the later stage. */
export function restStage(hoursSinceKill: number, kind: BirdKind): RestStage {
  const { onsetHours, passedHours } = REST_CLOCKS[kind];
  if (hoursSinceKill >= passedHours) return "rested";
  return hoursSinceKill >= onsetHours ? "in-rigor" : "before-rigor";
}
