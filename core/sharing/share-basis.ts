import { allot } from "#core/cost/allot.ts";
import { cents } from "#core/quantity/quantity.ts";
import { meanOf, type SharePart } from "#core/sharing/share-fair.ts";

/** By what birds are shared: each so many, or each so large a part of the weight. */
export const SHARE_BASES = ["birds", "weight"] as const;
export type ShareBasis = (typeof SHARE_BASES)[number];

/**
 * What each who shares should get. By birds, as many as they asked for, at the mean weight. By weight, their part of all of it, in as many
 * birds as come closest.
 *
 * @param asked birds of each, or parts of the weight such as 1 and 2 for a third and two thirds; more than 0
 * @throws {RangeError} if by birds they are not as many as there are
 */
export function shareParts(
  weights: readonly number[],
  asked: readonly number[],
  basis: ShareBasis,
): SharePart[] {
  const mean = meanOf(weights);
  const all = asked.reduce((sum, one) => sum + one, 0);
  if (basis === "birds") {
    if (all !== weights.length)
      throw new RangeError(`there are ${weights.length} birds to share, got ${all}`);
    return asked.map((birds) => ({ birds, target: birds * mean }));
  }
  // Whole birds by largest remainder, as money is split.
  const birds = allot(cents(weights.length), asked);
  return asked.map((part, index) => ({
    birds: birds[index]!,
    target: (part * mean * weights.length) / all,
  }));
}
