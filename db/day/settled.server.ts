import type { Database } from "better-sqlite3";

/** Answers whether a day is settled, and so takes no more taps, birds or costs. */
export function settledCheck(database: Database): (dayId: number) => boolean {
  const selectIsSettled = database.prepare<[number], { settled: boolean }>(`
    SELECT EXISTS (SELECT 1 FROM day_settlement WHERE day_id = ?
                      AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS settled`);
  return (dayId) => selectIsSettled.get(dayId)!.settled;
}
