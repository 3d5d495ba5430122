import { cuttingOfDay } from "#app/server/day/cutting-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { type OwnShares, ownShares } from "#core/cutting/own-shares.ts";
import { type PiecesPacked, piecesLeft } from "#core/packing/pieces-left.ts";
import { type ProductKindName, productKind } from "#core/packing/product-kinds.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";

/** So many days with packs are looked back on: older birds were others. Choice. See docs/sources.md#packs. */
const DAYS_BACK = 12;
/** Pieces of so many days before may still wait for a pack. */
const DAYS_WITH_LEFTOVERS = 2;

/** What the farm's own packs before a day say of its cuts. */
export const sharesBefore = ({ file }: FarmContext, day: Pick<ProcessingDay, "processedOn">): OwnShares =>
  ownShares(
    file.earlier
      .packsOfEarlierDays(day.processedOn, DAYS_BACK)
      .map(({ product, pieces, milligrams, kind, dressedMilligrams }) => {
        const dressedKilograms = kilogramsFromMilligrams(dressedMilligrams);
        const liveKilograms = dressedKilograms / DRESSED_FRACTION[kind];
        return {
          product,
          pieces,
          kilograms: kilogramsFromMilligrams(milligrams),
          means: { kind, dressedKilograms, liveKilograms },
        };
      }),
  );

/** Pieces of an earlier day's birds that are in no pack yet. */
export interface PiecesWaiting {
  readonly dayId: number;
  readonly processedOn: string;
  readonly product: ProductKindName;
  readonly pieces: number;
}

/** What the last days before one left over, product by product: it joins the next odd pack, under its own day and lot. */
export function leftOverBefore(here: FarmContext, day: Pick<ProcessingDay, "processedOn">): PiecesWaiting[] {
  const rows = here.file.earlier.packsOfEarlierDays(day.processedOn, DAYS_WITH_LEFTOVERS);
  const days = [...new Set(rows.map(({ dayId }) => dayId))].flatMap((id) => here.file.day(id) ?? []);
  return days
    .filter(({ settledEntryId }) => settledEntryId === undefined)
    .flatMap((earlier) => {
      const { scheme, lots } = cuttingOfDay(here, earlier, lotsOfDay(here, earlier));
      const packed = new Map<number, PiecesPacked[]>();
      for (const { lotId, product, pieces } of rows.filter(({ dayId }) => dayId === earlier.id))
        packed.set(lotId, [...(packed.get(lotId) ?? []), { product, pieces }]);
      return scheme.flatMap(({ product }) => {
        if (productKind(product).piece === undefined) return [];
        const pieces = lots.reduce((sum, { id, cutUp }) => {
          const left = piecesLeft(product, { dressed: cutUp, cutUp }, packed.get(id) ?? []);
          return sum + Math.max(0, left ?? 0);
        }, 0);
        return pieces > 0 ? [{ dayId: earlier.id, processedOn: earlier.processedOn, product, pieces }] : [];
      });
    });
}
