import { progressOf } from "#app/server/day/plan-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import type { BirdMeans } from "#core/carcass-yield/piece-weight.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { packTally } from "#core/packing/pack-tally.ts";
import type { BirdsOfLot } from "#core/packing/pieces-left.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Carcass, Pack } from "#db/pack/pack-row.server.ts";

/** A lot of a day as the packing table has it. */
export interface LotToPack extends BirdsOfLot {
  readonly id: number;
  readonly batchName: string;
  /** What one of its birds weighs; undefined until one was weighed. */
  readonly means: BirdMeans | undefined;
  /** What its birds weigh that are cut up, and all of its dressed birds, kg; undefined until they were weighed. */
  readonly cutKilograms: number | undefined;
}

/** Each lot of a day with the birds that it has for packs. */
export function lotsToPack(
  here: FarmContext,
  day: ProcessingDay,
  lots: readonly LotOfDay[],
  carcasses: readonly Carcass[],
): LotToPack[] {
  const { done } = progressOf(here, day);
  let killedBefore = 0;
  return lots.map((lot) => {
    const killed = Math.max(0, Math.min(lot.birds, done - killedBefore));
    killedBefore += lot.birds;
    return lotToPack(
      lot,
      carcasses.filter(({ lotId }) => lotId === lot.id),
      done === 0 ? lot.birds : killed,
    );
  });
}

function lotToPack({ id, batch, batchName }: LotOfDay, own: readonly Carcass[], killed: number): LotToPack {
  const tally = packTally(own.map(({ purpose, weightMilligrams }) => ({ use: purpose, weightMilligrams })));
  const dressed = Math.max(tally.dressedCount, killed - tally.condemnedCount);
  const cut = own.filter(({ purpose }) => purpose === "cut");
  const dressedKilograms =
    tally.meanMilligrams === undefined ? undefined : kilogramsFromMilligrams(tally.meanMilligrams);
  return {
    id,
    batchName,
    dressed,
    // Where no bird was weighed for the knife, those that were not packed whole are cut.
    cutUp: cut.length > 0 ? cut.length : dressed - tally.dressedCount,
    means:
      dressedKilograms === undefined
        ? undefined
        : {
            kind: batch.kind,
            dressedKilograms,
            liveKilograms: dressedKilograms / DRESSED_FRACTION[batch.kind],
          },
    cutKilograms: cut.length > 0 ? kilogramsOf(cut) : undefined,
  };
}

/** What packs weigh together, kg; those by volume weigh nothing here. */
export const kilogramsOf = (packs: readonly Pick<Pack, "weightMilligrams">[]): number =>
  kilogramsFromMilligrams(packs.reduce((sum, { weightMilligrams }) => sum + (weightMilligrams ?? 0), 0));

/** How many packs there are of each product, by its id. */
export function packsByProduct(packs: readonly Pick<Pack, "productId">[]): Record<number, number> {
  const counts: Record<number, number> = {};
  for (const { productId } of packs) counts[productId] = (counts[productId] ?? 0) + 1;
  return counts;
}
