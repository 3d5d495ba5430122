import type { Database } from "better-sqlite3";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";

/** Packs of one product that one lot of an earlier day gave, all together. */
export interface EarlierPacksRow {
  readonly dayId: number;
  readonly processedOn: string;
  readonly lotId: number;
  readonly kind: BirdKind;
  readonly product: ProductKindName;
  readonly pieces: number;
  readonly milligrams: number;
  /** What a bird of the lot weighed dressed. */
  readonly dressedMilligrams: number;
}

/** Prepares what is asked of earlier days' packs once; call it once per connection. */
export function earlierQueries(database: Database) {
  const selectEarlier = database.prepare<{ before: string; days: number }, EarlierPacksRow>(`
    WITH recent AS (
      SELECT id, processed_on FROM processing_day AS day
       WHERE processed_on < @before
         AND EXISTS (SELECT 1 FROM pack_now WHERE day_id = day.id AND bird_number IS NULL)
       ORDER BY processed_on DESC LIMIT @days),
    bird AS (
      SELECT lot_id, avg(weight_milligrams) AS dressed FROM recent
        JOIN pack_now ON day_id = recent.id
       WHERE bird_number IS NOT NULL AND purpose <> 'condemned' GROUP BY lot_id)
    SELECT recent.id AS dayId, recent.processed_on AS processedOn, now.lot_id AS lotId, batch.kind, product.kind AS product,
           sum(now.piece_count) AS pieces, sum(now.weight_milligrams) AS milligrams,
           bird.dressed AS dressedMilligrams
      FROM recent JOIN pack_now AS now ON now.day_id = recent.id
      JOIN bird ON bird.lot_id = now.lot_id
      JOIN day_lot AS lot ON lot.id = now.lot_id
      JOIN batch ON batch.id = lot.batch_id
      JOIN product ON product.id = now.product_id
     WHERE now.bird_number IS NULL AND now.weight_milligrams IS NOT NULL AND now.piece_count > 0
     GROUP BY recent.id, now.lot_id, product.kind ORDER BY recent.processed_on DESC, now.lot_id, product.kind`);
  return {
    /** What the birds of the last days with packs before a day gave, by lot and product, the latest first. */
    packsOfEarlierDays: (before: string, days: number): EarlierPacksRow[] =>
      selectEarlier.all({ before, days }),
  };
}
