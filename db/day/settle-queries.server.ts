import type { Database } from "better-sqlite3";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { OF_DAY } from "#db/day/join-queries.server.ts";
import { lotQueries } from "#db/day/lot-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";
import { supplyQueries } from "#db/supply/supply-queries.server.ts";

export interface DayCost {
  readonly entryId: string;
  readonly what: string;
  readonly amountCents: number;
}

/** What all people worked, where it was said. */
interface WorkedMinutes {
  /** On the day itself. */
  readonly workMinutes: number | undefined;
  /** On the days after, on which the birds were cut and packed. */
  readonly packingMinutes: number | undefined;
}

export interface SettlementRow extends WorkedMinutes {
  readonly entryId: string;
  readonly settledAt: number;
  readonly lots: readonly SettledLot[];
}

export interface SettledLot {
  readonly lotId: number;
  /** Birds that the day took of it, tapped or packed. */
  readonly birdCount: number;
  readonly liveMeanMilligrams: number | undefined;
}

/** What is said when a day is settled: hours of all people, and what lots weighed alive that morning, where they were weighed. */
export interface SettlingFacts extends WorkedMinutes {
  readonly live: readonly Pick<SettledLot, "lotId" | "liveMeanMilligrams">[];
}

/** What a day took from stock, and the day on which it is written off. */
export interface SupplyUse {
  readonly movedOn: string;
  readonly used: readonly { readonly supplyId: number; readonly amount: number }[];
}

/** What was typed when a day was settled last, whether it still is or was opened again. */
export interface TypedAtSettling extends WorkedMinutes {
  readonly live: readonly SettledLot[];
  readonly used: SupplyUse["used"];
}

/** Prepares every statement of settling a day once; call it once per connection. */
export function settleQueries(database: Database) {
  const entries = entryQueries(database);
  const supplying = supplyQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectCosts = database.prepare<{ dayId: number }, DayCost>(`
    SELECT entry_id AS entryId, what, amount_cents AS amountCents FROM day_cost
     WHERE day_id ${OF_DAY} AND ${current} ORDER BY id`);
  const insertCost = database.prepare<DayCost & { dayId: number }>(
    "INSERT INTO day_cost (entry_id, day_id, what, amount_cents) VALUES (@entryId, @dayId, @what, @amountCents)",
  );
  const selectSettlement = database.prepare<[number], { id: number } & Omit<SettlementRow, "lots">>(`
    SELECT id, entry_id AS entryId, settled_at AS settledAt, work_minutes AS workMinutes, packing_minutes AS packingMinutes
      FROM day_settlement WHERE day_id = ? AND ${current}`);
  const selectLots = database.prepare<[number], SettledLot>(`
    SELECT lot_id AS lotId, bird_count AS birdCount, live_mean_milligrams AS liveMeanMilligrams
      FROM settled_lot WHERE settlement_id = ?`);
  const selectLast = database.prepare<[number], { id: number; entryId: string } & WorkedMinutes>(`
    SELECT id, entry_id AS entryId, work_minutes AS workMinutes, packing_minutes AS packingMinutes FROM day_settlement
     WHERE day_id = ? ORDER BY id DESC LIMIT 1`);
  const selectUsed = database.prepare<[string], { supplyId: number; amount: number }>(
    "SELECT supply_id AS supplyId, amount FROM supply_move WHERE entry_id = ? AND kind = 'used'",
  );
  const insertSettlement = database.prepare<
    Omit<SettlementRow, "lots"> & { dayId: number; birdCount: number }
  >(`
    INSERT INTO day_settlement (entry_id, day_id, settled_at, bird_count, work_minutes, packing_minutes)
    VALUES (@entryId, @dayId, @settledAt, @birdCount, @workMinutes, @packingMinutes)`);
  const insertLot = database.prepare<SettledLot & { settlementId: number }>(`
    INSERT INTO settled_lot (settlement_id, lot_id, bird_count, live_mean_milligrams)
    VALUES (@settlementId, @lotId, @birdCount, @liveMeanMilligrams)`);
  const selectDressed = database.prepare<[number], { dressedCount: number }>(`
    SELECT count(*) AS dressedCount FROM pack_now
     WHERE day_id = ? AND bird_number IS NOT NULL AND purpose <> 'condemned'`);
  const { takenOn } = batchQueries(database);
  const { lots } = lotQueries(database);

  const selectSettledCount = database.prepare<[], { days: number }>(
    `SELECT count(*) AS days FROM day_settlement WHERE ${current}`,
  );

  return {
    /** Days that are settled. */
    settledCount: (): number => selectSettledCount.get()!.days,
    costs: (dayId: number): DayCost[] => selectCosts.all({ dayId }),
    settlement: (dayId: number): SettlementRow | undefined => {
      const settled = selectSettlement.get(dayId);
      if (!settled) return undefined;
      const { id, ...row } = settled;
      return { ...row, lots: selectLots.all(id) };
    },

    lastTyped: (dayId: number): TypedAtSettling | undefined => {
      const last = selectLast.get(dayId);
      if (!last) return undefined;
      const { id, entryId, workMinutes, packingMinutes } = last;
      return { workMinutes, packingMinutes, live: selectLots.all(id), used: selectUsed.all(entryId) };
    },

    addCost: (entry: Entry, dayId: number, cost: Omit<DayCost, "entryId">): Recorded<"day-settled"> =>
      entries.once(entry, ["day-cost", dayId, cost], () => {
        if (selectSettlement.get(dayId)) return "day-settled";
        insertCost.run({ entryId: entry.entryId, dayId, ...cost });
        return undefined;
      }),

    settle: (
      entry: Entry,
      dayId: number,
      facts: SettlingFacts,
      stock: SupplyUse = { movedOn: "", used: [] },
    ): Recorded<"day-settled" | "nothing-packed"> =>
      entries.once(entry, ["settle", dayId, facts, stock], () => {
        if (selectSettlement.get(dayId)) return "day-settled";
        if (selectDressed.get(dayId)!.dressedCount === 0) return "nothing-packed";
        const taken = takenOn(dayId);
        const settledLots = lots(dayId).map(({ id: lotId, batchId }) => ({
          lotId,
          birdCount: taken.get(batchId) ?? 0,
          liveMeanMilligrams: facts.live.find((lot) => lot.lotId === lotId)?.liveMeanMilligrams,
        }));
        const { lastInsertRowid } = insertSettlement.run({
          entryId: entry.entryId,
          dayId,
          settledAt: entry.at,
          birdCount: settledLots.reduce((sum, lot) => sum + lot.birdCount, 0),
          workMinutes: facts.workMinutes,
          packingMinutes: facts.packingMinutes,
        });
        for (const lot of settledLots) insertLot.run({ settlementId: Number(lastInsertRowid), ...lot });
        supplying.use(entry.entryId, { dayId, movedOn: stock.movedOn }, stock.used);
        return undefined;
      }),

    /** Opens a settled day again; harmless if it is open. */
    reopen: database.transaction((dayId: number, at: number): void => {
      const settled = selectSettlement.get(dayId);
      if (settled) entries.remove(settled.entryId, at);
    }).immediate,
  };
}
