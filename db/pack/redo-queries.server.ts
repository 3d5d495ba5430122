import type { Database } from "better-sqlite3";
import type { RedoCause } from "#core/packing/redo.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** Packs of one product that had to be done again for one cause. */
export interface Redone {
  readonly productId: number;
  readonly cause: RedoCause;
  readonly packs: number;
  /** The last of them, to be undone. */
  readonly lastEntryId: string;
}

/** Prepares every statement of packs done again once; call it once per connection. */
export function redoQueries(database: Database) {
  const entries = entryQueries(database);
  // Of the other columns the row with the greatest id speaks.
  const selectRedone = database.prepare<[number], Redone & { last: number }>(`
    SELECT product_id AS productId, cause, count(*) AS packs, entry_id AS lastEntryId, max(id) AS last
      FROM pack_redo WHERE day_id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     GROUP BY product_id, cause ORDER BY packs DESC, last`);
  const insertRedo = database.prepare(
    "INSERT INTO pack_redo (entry_id, day_id, product_id, cause, at) VALUES (@entryId, @dayId, @productId, @cause, @at)",
  );
  const selectProduct = database.prepare<[number], { id: number }>("SELECT id FROM product WHERE id = ?");
  return {
    /** A day's packs that had to be done again, by product and cause. */
    redone: (dayId: number): Redone[] => selectRedone.all(dayId).map(({ last: _last, ...redone }) => redone),
    recordRedo: (
      entry: Entry,
      dayId: number,
      redo: Pick<Redone, "productId" | "cause">,
    ): Recorded<"product-unknown"> =>
      entries.once(entry, ["pack-redo", dayId, redo], () => {
        if (!selectProduct.get(redo.productId)) return "product-unknown";
        insertRedo.run({ ...redo, entryId: entry.entryId, dayId, at: entry.at });
        return undefined;
      }),
  };
}
