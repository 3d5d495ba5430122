import { type Cents, cents } from "#core/quantity/quantity.ts";

/**
 * Splits an amount by weights so that the parts add up to the whole to the cent (largest remainder;
 * between equal remainders the earlier part takes the cent).
 *
 * @param total whole cents, not negative
 * @param weights not negative, not all 0
 * @throws {RangeError} if a weight is negative, or there is nothing to split by
 */
export function allot(total: Cents, weights: readonly number[]): Cents[] {
  const sum = weights.reduce((running, weight) => running + weight, 0);
  if (total < 0) throw new RangeError(`an amount to split must not be negative, got ${total}`);
  if (!(sum > 0) || weights.some((weight) => weight < 0))
    throw new RangeError(`weights must not be negative and not all 0, got ${weights.join(", ")}`);
  const exact = weights.map((weight) => (total * weight) / sum);
  const parts = exact.map(Math.floor);
  const left = total - parts.reduce((running, part) => running + part, 0);
  const byRemainder = exact
    .map((share, index) => ({ index, remainder: share - Math.floor(share) }))
    .toSorted((one, other) => other.remainder - one.remainder || one.index - other.index);
  for (const { index } of byRemainder.slice(0, left)) parts[index]! += 1;
  return parts.map(cents);
}
