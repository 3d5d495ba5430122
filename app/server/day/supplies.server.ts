import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Supply } from "#core/day/supplies/day-needs.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";

/** What the farm keeps in stock, as core calculates with it. */
export const suppliesInStock = (here: FarmContext): Supply[] =>
  here.file.supplying
    .supplies()
    .map(({ id, name, kind, mostMilligrams, packAmount, packCents, inStock }) => ({
      id,
      name,
      kind,
      mostKilograms: mostMilligrams === undefined ? undefined : kilogramsFromMilligrams(mostMilligrams),
      packAmount,
      packCents,
      inStock: inStock ?? undefined,
    }));

/** Supplies that a settled day took, and what they cost at what a pack cost. */
export const usedOn = (here: FarmContext, dayId: number) =>
  here.file.supplying
    .usedOn(dayId)
    .map((used) => ({ ...used, cents: Math.round((used.amount * used.packCents) / used.packAmount) }));
