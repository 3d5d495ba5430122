import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

/**
 * Feed to a kilogram that can be sold: what went to the household, to pets, or was condemned is not in it.
 *
 * @returns undefined where nothing can be sold
 */
export function feedPerKilogramSold(feedKilograms: number, soldKilograms: number): Reckoning | undefined {
  if (!(soldKilograms > 0)) return undefined;
  return reckoning({
    value: feedKilograms / soldKilograms,
    unit: "kg-per-kg",
    inputs: [
      input("feed", feedKilograms, "kg", "calculated"),
      input("weight-that-can-be-sold", soldKilograms, "kg", "measured"),
    ],
    rule: "feed-per-weight-sold",
    source: "cost",
  });
}
