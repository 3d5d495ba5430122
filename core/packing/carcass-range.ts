/**
 * No chicken dresses lighter or heavier than this: beyond it a slip of the key is likelier than a bird.
 * Our choice: a quail-sized 100 g, and 10 kg (22 lb). See docs/sources.md#ranges.
 */
export const CARCASS_RANGE_KILOGRAMS = [0.1, 10] as const;

/** The same for a live bird from day-old chick to the heaviest cock. See docs/sources.md#ranges. */
export const LIVE_RANGE_KILOGRAMS = [0.02, 14] as const;

export type RangeVerdict = "zero" | "too-light" | "too-heavy" | "plausible";

/** Whether a weight may be a bird's. */
export function rangeVerdict(kilograms: number, [least, most]: readonly [number, number]): RangeVerdict {
  if (kilograms === 0) return "zero";
  if (kilograms < least) return "too-light";
  return kilograms > most ? "too-heavy" : "plausible";
}
