import type { Database } from "better-sqlite3";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A batch of before this file, in summary. What no one wrote down is undefined. */
export interface PastBatch {
  readonly entryId: string;
  readonly name: string;
  readonly kind: BirdKind;
  readonly finishedOn: string;
  readonly dressedCount: number;
  readonly dressedMilligrams: number;
  readonly costCents: number;
  readonly liveMilligrams: number | undefined;
  readonly feedMilligrams: number | undefined;
}

/** Birds of one calendar year and one owner; undefined for the farm's own. */
export interface BirdsOfYear {
  readonly year: string;
  readonly ownerId: number | undefined;
  readonly birds: number;
}

/** Prepares every statement of the books once; call it once per connection. */
export function bookQueries(database: Database) {
  const entries = entryQueries(database);
  const selectPast = database.prepare<[], PastBatch>(`
    SELECT entry_id AS entryId, name, kind, finished_on AS finishedOn, dressed_count AS dressedCount,
           dressed_milligrams AS dressedMilligrams, cost_cents AS costCents,
           live_milligrams AS liveMilligrams, feed_milligrams AS feedMilligrams
      FROM past_batch WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY finished_on, id`);
  const insertPast = database.prepare<PastBatch>(`
    INSERT INTO past_batch (entry_id, name, kind, finished_on, dressed_count, dressed_milligrams, cost_cents,
                            live_milligrams, feed_milligrams)
    VALUES (@entryId, @name, @kind, @finishedOn, @dressedCount, @dressedMilligrams, @costCents,
            @liveMilligrams, @feedMilligrams)`);

  const selectByYear = database.prepare<[], BirdsOfYear>(`
    SELECT substr(day.processed_on, 1, 4) AS year, lot.owner_id AS ownerId, sum(settled.bird_count) AS birds
      FROM day_settlement AS settlement
      JOIN processing_day AS day ON day.id = settlement.day_id
      JOIN settled_lot AS settled ON settled.settlement_id = settlement.id
      JOIN day_lot AS lot ON lot.id = settled.lot_id
     WHERE settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     GROUP BY year, lot.owner_id`);

  return {
    /** Birds of settled days, by calendar year and owner. */
    dressedByYear: (): BirdsOfYear[] => selectByYear.all(),
    pastBatches: (): PastBatch[] => selectPast.all(),
    addPastBatch: (entry: Entry, past: Omit<PastBatch, "entryId">): Recorded =>
      entries.once(entry, ["past", past], () => {
        insertPast.run({ entryId: entry.entryId, ...past });
        return undefined;
      }),
  };
}
