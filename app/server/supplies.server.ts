import { farmFile } from "#app/server/farm-file.server.ts";
import type { Supply } from "#core/day/day-needs.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";

/** What the farm keeps in stock, as core reckons with it. */
export const suppliesInStock = (): Supply[] =>
  farmFile()
    .supplying.supplies()
    .map(({ id, name, kind, mostMilligrams, packAmount, packCents, inStock }) => ({
      id,
      name,
      kind,
      mostKilograms: mostMilligrams === null ? undefined : kilogramsFromMilligrams(mostMilligrams),
      packAmount,
      packCents,
      inStock: inStock ?? undefined,
    }));

/** Supplies that a settled day took, and what they cost at what a pack cost. */
export function usedOn(dayId: number) {
  const supplies = suppliesInStock();
  return farmFile()
    .supplying.usedOn(dayId)
    .flatMap(({ supplyId, amount }) => {
      const supply = supplies.find(({ id }) => id === supplyId);
      return supply
        ? [{ supply, amount, cents: Math.round((amount * supply.packCents) / supply.packAmount) }]
        : [];
    });
}
