import type { Database } from "better-sqlite3";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
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
  /** Undefined where it left without a sale; else it comes back with the whole sale, or as a return. */
  readonly saleId: number | undefined;
}

/** Packs of one product, lot and use that lie in one place. */
export interface PacksAlike {
  readonly placeId: number | undefined;
  readonly productId: number;
  readonly productKind: ProductKindName;
  readonly productName: string;
  readonly keepsMonths: number | undefined;
  readonly lotId: number;
  readonly batchName: string;
  readonly dayId: number;
  readonly processedOn: string;
  readonly purpose: CarcassUse;
  readonly packs: number;
  readonly birds: number;
  readonly milligrams: number;
  readonly oldestAt: number;
}

/** A pack that lies somewhere, and when it came there. */
export interface StoredPack extends KnownPack {
  readonly cameAt: number;
}

const KNOWN = `${PACK_COLUMNS}, day.processed_on AS processedOn, batch.name AS batchName,
  product.kind AS productKind, product.name AS productName`;
const CAME_AT = `
  coalesce((SELECT max(move.moved_at) FROM pack_move AS move
             WHERE move.pack_id = now.pack_id AND move.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)),
           now.packed_at) AS cameAt`;
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
  const selectLastStored = database.prepare<{ productId: number }, Pack>(`
    SELECT ${PACK_COLUMNS} FROM pack_now AS now
     WHERE now.is_stored = 1 AND (@productId = 0 OR now.product_id = @productId) ORDER BY now.pack_id DESC LIMIT 1`);
  const selectLately = database.prepare<[number], PackOut>(`
    SELECT ${KNOWN}, gone.entry_id AS outEntryId, gone.out_on AS outOn, gone.how, gone.sale_id AS saleId
      FROM pack_out AS gone JOIN pack_now AS now ON now.pack_id = gone.pack_id ${WITH_NAMES}
     WHERE gone.entry_id NOT IN ${removed}
     ORDER BY gone.out_on DESC, gone.id DESC LIMIT ?`);
  const selectBirdsOutBetween = database.prepare<[string, string], { birds: number }>(`
    SELECT count(*) AS birds FROM pack_out AS gone JOIN pack_now AS now ON now.pack_id = gone.pack_id
     WHERE gone.out_on > ? AND gone.out_on <= ? AND gone.entry_id NOT IN ${removed}
       AND now.bird_number IS NOT NULL`);
  const selectEaten = database.prepare<
    [string, string],
    { birds: number; cutMilligrams: number; firstOn: string | undefined }
  >(`
    SELECT count(now.bird_number) AS birds, min(gone.out_on) AS firstOn,
           coalesce(sum(CASE WHEN now.bird_number IS NULL THEN now.weight_milligrams ELSE 0 END), 0) AS cutMilligrams
      FROM pack_out AS gone JOIN pack_now AS now ON now.pack_id = gone.pack_id
     WHERE gone.out_on > ? AND gone.out_on <= ? AND gone.how = 'eaten' AND gone.entry_id NOT IN ${removed}`);
  const selectStoredCount = database.prepare<[], { birds: number }>(
    "SELECT count(*) AS birds FROM pack_now WHERE is_stored = 1 AND bird_number IS NOT NULL",
  );
  const selectPackCount = database.prepare<[], { packs: number }>(
    "SELECT count(*) AS packs FROM pack_now WHERE is_stored = 1",
  );
  const selectIsStored = database.prepare<[number], { stored: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE pack_id = ? AND is_stored = 1) AS stored",
  );
  const insertOut = database.prepare<{ entryId: string; packId: number; outOn: string; how: WayOut }>(
    "INSERT INTO pack_out (entry_id, pack_id, out_on, how) VALUES (@entryId, @packId, @outOn, @how)",
  );

  const selectAlike = database.prepare<[], PacksAlike>(`
    WITH alike AS (
      SELECT place_id, product_id, lot_id, purpose, count(*) AS packs, count(bird_number) AS birds,
             sum(coalesce(weight_milligrams, volume_milliliters * 1000)) AS milligrams, min(packed_at) AS oldest_at
        FROM pack_now WHERE is_stored = 1 GROUP BY place_id, product_id, lot_id, purpose)
    SELECT alike.place_id AS placeId, alike.product_id AS productId, product.kind AS productKind,
           product.name AS productName, product.keeps_months AS keepsMonths, alike.lot_id AS lotId, batch.name AS batchName,
           day.id AS dayId, day.processed_on AS processedOn, alike.purpose, alike.packs, alike.birds, alike.milligrams,
           alike.oldest_at AS oldestAt
      FROM alike
      JOIN product ON product.id = alike.product_id
      JOIN day_lot AS lot ON lot.id = alike.lot_id
      JOIN processing_day AS day ON day.id = lot.day_id
      JOIN batch ON batch.id = lot.batch_id
     ORDER BY alike.oldest_at`);
  const selectOfPlace = database.prepare<[number], StoredPack>(`
    SELECT ${KNOWN}, ${CAME_AT} FROM pack_now AS now ${WITH_NAMES}
     WHERE now.is_stored = 1 AND now.place_id = ? ORDER BY now.packed_at, now.pack_id`);
  const selectNowhere = database.prepare<[], StoredPack>(`
    SELECT ${KNOWN}, ${CAME_AT} FROM pack_now AS now ${WITH_NAMES}
     WHERE now.is_stored = 1
       AND (now.place_id IS NULL
            OR now.place_id IN (SELECT id FROM storage_place WHERE entry_id IN ${removed}))
     ORDER BY now.packed_at, now.pack_id`);
  const selectUnfrozen = database.prepare<[string], KnownPack>(`
    SELECT ${KNOWN} FROM pack_now AS now ${WITH_NAMES}
     WHERE now.is_stored = 1
       AND (now.place_id IS NULL OR now.place_id NOT IN (SELECT value FROM json_each(?)))
     ORDER BY now.packed_at, now.pack_id`);
  const insertMove = database.prepare<{ entryId: string; packId: number; placeId: number; movedAt: number }>(
    "INSERT INTO pack_move (entry_id, pack_id, place_id, moved_at) VALUES (@entryId, @packId, @placeId, @movedAt)",
  );
  const selectPlace = database.prepare<[number], { id: number }>(
    `SELECT id FROM storage_place WHERE id = ? AND entry_id NOT IN ${removed}`,
  );

  return {
    /** The pack that was made last of those that are stored, of a product or of all. */
    lastStored: (productId?: number): Pack | undefined => selectLastStored.get({ productId: productId ?? 0 }),
    /** What is stored, packs that are alike together. A liter is as good as a kilogram here. */
    alike: (): PacksAlike[] => selectAlike.all(),
    /** Packs of a place, the oldest first. */
    inPlace: (placeId: number): StoredPack[] => selectOfPlace.all(placeId),
    /** Packs that lie in none of the places that freeze, the oldest first. */
    unfrozen: (freezingPlaces: readonly number[]): KnownPack[] =>
      selectUnfrozen.all(JSON.stringify(freezingPlaces)),
    /** Packs of which nobody has said where they are. */
    nowhere: (): StoredPack[] => selectNowhere.all(),
    /** Carries packs to another place, all or none. */
    move: (
      entry: Entry,
      packIds: readonly number[],
      placeId: number,
    ): Recorded<"not-in-store" | "place-unknown"> =>
      entries.once(entry, ["pack-move", packIds, placeId], () => {
        if (!selectPlace.get(placeId)) return "place-unknown";
        for (const packId of packIds) {
          if (!selectIsStored.get(packId)!.stored) return "not-in-store";
          insertMove.run({ entryId: entry.entryId, packId, placeId, movedAt: entry.at });
        }
        return undefined;
      }),
    stored: (): KnownPack[] => selectStored.all(),
    packCount: (): number => selectPackCount.get()!.packs,
    /** Birds that lie whole. */
    storedCount: (): number => selectStoredCount.get()!.birds,
    /** Whole birds that left after one day and up to another. */
    birdsOutBetween: (after: string, to: string): number => selectBirdsOutBetween.get(after, to)!.birds,
    /** What was taken out to be eaten after one day and up to another, and the first time of it. */
    eatenBetween: (after: string, to: string) => selectEaten.get(after, to)!,
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
