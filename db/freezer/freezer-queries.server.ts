import type { Database } from "better-sqlite3";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";
import { PACK_COLUMNS, type Pack } from "#db/pack/pack-row.server.ts";

export const WAYS_OUT = ["sold", "eaten", "given", "spoiled"] as const;
export type WayOut = (typeof WAYS_OUT)[number];

/** A pack with what a person needs to know it by. */
export interface KnownPack extends Pack {
  readonly processedOn: string;
  readonly batchName: string;
  readonly productKind: ProductKindName;
  /** Empty: the usual name of its kind. */
  readonly productName: string;
}

export interface PackOut extends KnownPack {
  readonly outEntryId: string;
  readonly outOn: string;
  readonly how: WayOut;
}

const KNOWN = `${PACK_COLUMNS}, day.processed_on AS processedOn, batch.name AS batchName,
  product.kind AS productKind, product.name AS productName`;
const WITH_NAMES = `
  JOIN product ON product.id = now.product_id
  JOIN processing_day AS day ON day.id = now.day_id
  JOIN day_lot AS lot ON lot.id = now.lot_id
  JOIN batch ON batch.id = lot.batch_id`;

/** Prepares every statement of the freezers once; call it once per connection. */
export function freezerQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectStored = database.prepare<[], KnownPack>(`
    SELECT ${KNOWN} FROM pack_now AS now ${WITH_NAMES}
     WHERE now.is_stored = 1 ORDER BY day.start_at, now.bird_number, now.pack_id`);
  const selectLately = database.prepare<[number], PackOut>(`
    SELECT ${KNOWN}, gone.entry_id AS outEntryId, gone.out_on AS outOn, gone.how
      FROM pack_out AS gone JOIN pack_now AS now ON now.pack_id = gone.pack_id ${WITH_NAMES}
     WHERE gone.entry_id NOT IN ${removed}
     ORDER BY gone.out_on DESC, gone.id DESC LIMIT ?`);
  const selectBirdsOutBetween = database.prepare<[string, string], { birds: number }>(`
    SELECT count(*) AS birds FROM pack_out AS gone JOIN pack_now AS now ON now.pack_id = gone.pack_id
     WHERE gone.out_on > ? AND gone.out_on <= ? AND gone.entry_id NOT IN ${removed}
       AND now.bird_number IS NOT NULL`);
  const selectStoredCount = database.prepare<[], { birds: number }>(
    "SELECT count(*) AS birds FROM pack_now WHERE is_stored = 1 AND bird_number IS NOT NULL",
  );
  const selectIsStored = database.prepare<[number], { stored: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE pack_id = ? AND is_stored = 1) AS stored",
  );
  const insertOut = database.prepare<{ entryId: string; packId: number; outOn: string; how: WayOut }>(
    "INSERT INTO pack_out (entry_id, pack_id, out_on, how) VALUES (@entryId, @packId, @outOn, @how)",
  );

  return {
    stored: (): KnownPack[] => selectStored.all(),
    /** Birds that lie whole. */
    storedCount: (): number => selectStoredCount.get()!.birds,
    /** Whole birds that left after one day and up to another. */
    birdsOutBetween: (after: string, to: string): number => selectBirdsOutBetween.get(after, to)!.birds,
    /** Packs that left last, newest first. */
    lately: (most: number): PackOut[] => selectLately.all(most),
    /** All of the packs leave, or none. */
    takeOut: (
      entry: Entry,
      packIds: readonly number[],
      out: { outOn: string; how: WayOut },
    ): Recorded<"not-in-store"> =>
      entries.once(entry, ["out", packIds, out], () => {
        for (const packId of packIds) {
          if (!selectIsStored.get(packId)!.stored) return "not-in-store";
          insertOut.run({ entryId: entry.entryId, packId, ...out });
        }
        return undefined;
      }),
  };
}
