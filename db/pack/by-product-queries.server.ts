import type { Database } from "better-sqlite3";
import type { ByProductKind } from "#core/packing/by-products.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A load of a by-product, and what came of it. */
export interface ByProduct {
  readonly id: number;
  readonly entryId: string;
  readonly kind: ByProductKind;
  readonly inMilligrams: number;
  readonly startedAt: number;
  readonly note: string;
  /** Undefined while it is under way. */
  readonly outEntryId: string | undefined;
  readonly outMilligrams: number | undefined;
  readonly milliliters: number | undefined;
  readonly endedAt: number | undefined;
}

export interface ByProductCheck {
  readonly entryId: string;
  readonly byProductId: number;
  readonly checkedAt: number;
  readonly note: string;
}

/** Prepares every statement of by-products once; call it once per connection. */
export function byProductQueries(database: Database) {
  const entries = entryQueries(database);
  const isSettled = settledCheck(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectLoads = database.prepare<[number], ByProduct>(`
    SELECT load.id, load.entry_id AS entryId, load.kind, load.in_milligrams AS inMilligrams, load.started_at AS startedAt,
           load.note, done.entry_id AS outEntryId, done.out_milligrams AS outMilligrams, done.milliliters,
           done.ended_at AS endedAt
      FROM by_product AS load
      LEFT JOIN by_product_out AS done ON done.by_product_id = load.id AND done.entry_id NOT IN ${removed}
     WHERE load.day_id = ? AND load.entry_id NOT IN ${removed} ORDER BY load.started_at, load.id`);
  const selectLoad = database.prepare<[number, number], { inMilligrams: number; isEnded: number }>(`
    SELECT in_milligrams AS inMilligrams,
           EXISTS (SELECT 1 FROM by_product_out AS done
                    WHERE done.by_product_id = load.id AND done.entry_id NOT IN ${removed}) AS isEnded
      FROM by_product AS load WHERE load.id = ? AND load.day_id = ? AND load.entry_id NOT IN ${removed}`);
  const selectChecks = database.prepare<[number], ByProductCheck>(`
    SELECT look.entry_id AS entryId, look.by_product_id AS byProductId, look.checked_at AS checkedAt, look.note
      FROM by_product_check AS look JOIN by_product AS load ON load.id = look.by_product_id
     WHERE load.day_id = ? AND look.entry_id NOT IN ${removed} ORDER BY look.checked_at, look.id`);
  const insertLoad = database.prepare(`
    INSERT INTO by_product (entry_id, day_id, kind, in_milligrams, started_at, note)
    VALUES (@entryId, @dayId, @kind, @inMilligrams, @startedAt, @note)`);
  const insertOut = database.prepare(`
    INSERT INTO by_product_out (entry_id, by_product_id, out_milligrams, milliliters, ended_at)
    VALUES (@entryId, @loadId, @outMilligrams, @milliliters, @endedAt)`);
  const insertCheck = database.prepare(`
    INSERT INTO by_product_check (entry_id, by_product_id, checked_at, note) VALUES (@entryId, @loadId, @checkedAt, @note)`);

  return {
    /** A day's loads in order of time, with what came of each. */
    loads: (dayId: number): ByProduct[] => selectLoads.all(dayId),
    checks: (dayId: number): ByProductCheck[] => selectChecks.all(dayId),
    start: (
      entry: Entry,
      dayId: number,
      load: Pick<ByProduct, "kind" | "inMilligrams" | "note">,
    ): Recorded<"day-settled"> =>
      entries.once(entry, ["by-product", dayId, load], () => {
        if (isSettled(dayId)) return "day-settled";
        insertLoad.run({ ...load, entryId: entry.entryId, dayId, startedAt: entry.at });
        return undefined;
      }),
    /** What came of a load: never more of it dry, picked or minced than went in. */
    end: (
      entry: Entry,
      dayId: number,
      loadId: number,
      out: { outMilligrams: number; milliliters: number },
    ): Recorded<"load-unknown" | "ended-already" | "more-than-went-in"> =>
      entries.once(entry, ["by-product-out", dayId, loadId, out], () => {
        const load = selectLoad.get(loadId, dayId);
        if (!load) return "load-unknown";
        if (load.isEnded === 1) return "ended-already";
        if (out.outMilligrams > load.inMilligrams) return "more-than-went-in";
        insertOut.run({ ...out, entryId: entry.entryId, loadId, endedAt: entry.at });
        return undefined;
      }),
    check: (entry: Entry, dayId: number, loadId: number, note: string): Recorded<"load-unknown"> =>
      entries.once(entry, ["by-product-check", dayId, loadId, note], () => {
        if (!selectLoad.get(loadId, dayId)) return "load-unknown";
        insertCheck.run({ entryId: entry.entryId, loadId, checkedAt: entry.at, note });
        return undefined;
      }),
  };
}
