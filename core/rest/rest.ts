import type { BirdKind } from "#core/growth/bird-kind.ts";

/**
 * Rigor comes on within about an hour of killing and lets go after about a day; old birds take longer.
 * Practice, not science: our estimate until the farm knows better. See docs/sources.md#rest.
 */
export const RIGOR_ONSET_HOURS = 1;
export const RIGOR_OVER_HOURS: Readonly<Record<BirdKind, number>> = { fast: 24, slow: 24, mature: 48 };

export type RestStage = "before-rigor" | "in-rigor" | "rested";

/** Where a bird stands that was killed so many hours ago; both edges belong to the later stage. */
export function restStage(hoursSinceKill: number, kind: BirdKind): RestStage {
  if (hoursSinceKill >= RIGOR_OVER_HOURS[kind]) return "rested";
  return hoursSinceKill >= RIGOR_ONSET_HOURS ? "in-rigor" : "before-rigor";
}
