import { allot } from "#core/cost/allot.ts";
import type { Cents } from "#core/quantity/quantity.ts";

/** What a batch's birds cost, by what it went for, whole cents. */
export type CostParts<Name extends string> = Readonly<Record<Name, Cents>>;

/**
 * Splits each kind of cost over those who share, so that the parts add up to the whole to the cent.
 *
 * @param weights how much each bears, such as birds or kilograms; not all 0
 * @returns for each who shares, what they bear of each kind
 * @throws {RangeError} if there is nothing to split by
 */
export function shareCost<Name extends string>(
  cost: CostParts<Name>,
  weights: readonly number[],
): CostParts<Name>[] {
  const names = Object.keys(cost) as Name[];
  const split = names.map((name) => allot(cost[name], weights));
  return weights.map(
    (_, who) =>
      Object.fromEntries(names.map((name, index) => [name, split[index]![who]!])) as CostParts<Name>,
  );
}
