import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";
import { supplyQueries } from "#db/supply/supply-queries.server.ts";

export interface DayCost {
  readonly entryId: string;
  readonly what: string;
  readonly amountCents: number;
}

export interface SettlementRow {
  readonly entryId: string;
  readonly settledAt: number;
  /** Birds that the day took, tapped or packed. */
  readonly birdCount: number;
  readonly workMinutes: number | undefined;
  readonly liveMeanMilligrams: number | undefined;
}

/** What a day took from stock, and the day on which it is written off. */
export interface SupplyUse {
  readonly movedOn: string;
  readonly used: readonly { readonly supplyId: number; readonly amount: number }[];
}

/** Prepares every statement of settling a day once; call it once per connection. */
export function settleQueries(database: Database) {
  const entries = entryQueries(database);
  const supplying = supplyQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectCosts = database.prepare<[number], DayCost>(`
    SELECT entry_id AS entryId, what, amount_cents AS amountCents FROM day_cost
     WHERE day_id = ? AND ${current} ORDER BY id`);
  const insertCost = database.prepare<DayCost & { dayId: number }>(
    "INSERT INTO day_cost (entry_id, day_id, what, amount_cents) VALUES (@entryId, @dayId, @what, @amountCents)",
  );
  const selectSettlement = database.prepare<[number], SettlementRow>(`
    SELECT entry_id AS entryId, settled_at AS settledAt, bird_count AS birdCount, work_minutes AS workMinutes,
           live_mean_milligrams AS liveMeanMilligrams
      FROM day_settlement WHERE day_id = ? AND ${current}`);
  const insertSettlement = database.prepare<SettlementRow & { dayId: number }>(`
    INSERT INTO day_settlement (entry_id, day_id, settled_at, bird_count, work_minutes, live_mean_milligrams)
    VALUES (@entryId, @dayId, @settledAt, @birdCount, @workMinutes, @liveMeanMilligrams)`);
  const selectPacked = database.prepare<{ dayId: number }, { dressedCount: number; birdCount: number }>(`
    SELECT (SELECT count(*) FROM carcass WHERE day_id = @dayId AND purpose <> 'condemned' AND ${current}) AS dressedCount,
           max((SELECT count(*) FROM carcass WHERE day_id = @dayId AND ${current}),
               (SELECT count(*) FROM day_event WHERE day_id = @dayId AND kind = 'bird' AND ${current})) AS birdCount`);

  const selectSettledCount = database.prepare<[], { days: number }>(
    `SELECT count(*) AS days FROM day_settlement WHERE ${current}`,
  );

  return {
    /** Days that are settled. */
    settledCount: (): number => selectSettledCount.get()!.days,
    costs: (dayId: number): DayCost[] => selectCosts.all(dayId),
    settlement: (dayId: number): SettlementRow | undefined => selectSettlement.get(dayId),

    addCost: (entry: Entry, dayId: number, cost: Omit<DayCost, "entryId">): Recorded<"day-settled"> =>
      entries.once(entry, ["day-cost", dayId, cost], () => {
        if (selectSettlement.get(dayId)) return "day-settled";
        insertCost.run({ entryId: entry.entryId, dayId, ...cost });
        return undefined;
      }),

    settle: (
      entry: Entry,
      dayId: number,
      hours: Pick<SettlementRow, "workMinutes" | "liveMeanMilligrams">,
      stock: SupplyUse = { movedOn: "", used: [] },
    ): Recorded<"day-settled" | "nothing-packed"> =>
      entries.once(entry, ["settle", dayId, hours, stock], () => {
        if (selectSettlement.get(dayId)) return "day-settled";
        const { dressedCount, birdCount } = selectPacked.get({ dayId })!;
        if (dressedCount === 0) return "nothing-packed";
        insertSettlement.run({ entryId: entry.entryId, dayId, settledAt: entry.at, birdCount, ...hours });
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
