import type { Database } from "better-sqlite3";
import type { CarcassUse } from "#core/packing/pack-tally.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export const WAYS_OUT = ["sold", "eaten", "given", "spoiled"] as const;
export type Remedy = (typeof WAYS_OUT)[number];

/** A bird that was packed and has not left. */
export interface StoredBird {
  readonly carcassId: number;
  readonly dayId: number;
  readonly processedOn: string;
  readonly batchName: string;
  readonly birdNumber: number;
  readonly purpose: CarcassUse;
  readonly weightMilligrams: number;
  readonly placeId: number | undefined;
}

export interface BirdOut {
  readonly entryId: string;
  readonly batchName: string;
  readonly birdNumber: number;
  readonly weightMilligrams: number;
  readonly outOn: string;
  readonly how: Remedy;
}

/** Prepares every statement of the stores once; call it once per connection. */
export function freezerQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectStored = database.prepare<[], StoredBird>(`
    SELECT carcass.id AS carcassId, day.id AS dayId, day.processed_on AS processedOn, batch.name AS batchName,
           carcass.bird_number AS birdNumber, carcass.purpose, carcass.weight_milligrams AS weightMilligrams,
           carcass.place_id AS placeId
      FROM stored_carcass AS stored
      JOIN carcass ON carcass.id = stored.carcass_id
      JOIN processing_day AS day ON day.id = carcass.day_id
      JOIN day_lot AS lot ON lot.id = carcass.lot_id
      JOIN batch ON batch.id = lot.batch_id
     ORDER BY day.start_at, carcass.bird_number`);
  const selectLately = database.prepare<[number], BirdOut>(`
    SELECT gone.entry_id AS entryId, batch.name AS batchName, carcass.bird_number AS birdNumber,
           carcass.weight_milligrams AS weightMilligrams, gone.out_on AS outOn, gone.how
      FROM carcass_out AS gone
      JOIN carcass ON carcass.id = gone.carcass_id
      JOIN processing_day AS day ON day.id = carcass.day_id
      JOIN day_lot AS lot ON lot.id = carcass.lot_id
      JOIN batch ON batch.id = lot.batch_id
     WHERE gone.entry_id NOT IN ${removed}
     ORDER BY gone.out_on DESC, gone.id DESC LIMIT ?`);
  const selectOutBetween = database.prepare<[string, string], { birds: number }>(`
    SELECT count(*) AS birds FROM carcass_out
     WHERE out_on > ? AND out_on <= ? AND entry_id NOT IN ${removed}`);
  const selectStoredCount = database.prepare<[], { birds: number }>(
    "SELECT count(*) AS birds FROM stored_carcass",
  );
  const selectIsStored = database.prepare<[number], { stored: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM stored_carcass WHERE carcass_id = ?) AS stored",
  );
  const insertOut = database.prepare<{ entryId: string; carcassId: number; outOn: string; how: Remedy }>(
    "INSERT INTO carcass_out (entry_id, carcass_id, out_on, how) VALUES (@entryId, @carcassId, @outOn, @how)",
  );

  return {
    stored: (): StoredBird[] => selectStored.all(),
    storedCount: (): number => selectStoredCount.get()!.birds,
    /** Birds that left after one day and up to another. */
    outBetween: (after: string, to: string): number => selectOutBetween.get(after, to)!.birds,
    /** Birds that left last, newest first. */
    lately: (most: number): BirdOut[] => selectLately.all(most),
    takeOut: (
      entry: Entry,
      carcassId: number,
      out: { outOn: string; how: Remedy },
    ): Recorded<"not-in-store"> =>
      entries.once(entry, ["out", carcassId, out], () => {
        if (!selectIsStored.get(carcassId)!.stored) return "not-in-store";
        insertOut.run({ entryId: entry.entryId, carcassId, ...out });
        return undefined;
      }),
  };
}
