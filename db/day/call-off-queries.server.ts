import type { Database } from "better-sqlite3";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { type LotRefusal, lotsFault } from "#db/day/day-queries.server.ts";
import { lotQueries } from "#db/day/lot-queries.server.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A day that was called off, or deleted before anything happened on it. */
export interface CalledOffDay {
  readonly dayId: number;
  readonly processedOn: string;
  readonly calledOffAt: number;
  /** Empty where it was deleted. */
  readonly reason: string;
  readonly lots: readonly { readonly batchId: number; readonly birds: number }[];
}

/** What keeps a day from being called off. Something has happened: it can be called off, but not deleted. */
export type CallOffRefusal = "gone" | "day-settled" | "birds-weighed" | "has-happened";

type CalledOffRow = Omit<CalledOffDay, "lots">;

/** Prepares every statement of calling a day off once; call it once per connection. */
export function callOffQueries(database: Database) {
  const entries = entryQueries(database);
  const lotting = lotQueries(database);
  const batches = batchQueries(database);
  const isSettled = settledCheck(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectEntry = database.prepare<[number], { entryId: string }>(
    `SELECT entry_id AS entryId FROM processing_day WHERE id = ? AND ${current} AND joined_day_id IS NULL`,
  );
  const selectHasBirds = database.prepare<[number], { found: boolean }>(
    "SELECT EXISTS (SELECT 1 FROM pack_now WHERE day_id = ?) AS found",
  );
  const selectHasHappened = database.prepare<{ dayId: number }, { found: boolean }>(
    `SELECT ${["day_fact", "day_cost", "rest_fact", "day_task_done"]
      .map((table) => `EXISTS (SELECT 1 FROM ${table} WHERE day_id = @dayId AND ${current})`)
      .join(" OR ")} AS found`,
  );
  const insertCallOff = database.prepare<{ entryId: string; dayId: number; reason: string }>(
    "INSERT INTO day_call_off (entry_id, day_id, reason) VALUES (@entryId, @dayId, @reason)",
  );
  const calledOffSql = (where: string) => `
    SELECT day.id AS dayId, day.entry_id AS dayEntryId, call_off.entry_id AS entryId, processed_on AS processedOn,
           entry.at AS calledOffAt, reason
      FROM day_call_off AS call_off
      JOIN processing_day AS day ON day.id = call_off.day_id
      JOIN entry ON entry.id = call_off.entry_id
     WHERE call_off.${current} AND ${where} ORDER BY call_off.id DESC`;
  const selectCalledOff = database.prepare<[], CalledOffRow>(calledOffSql("reason <> ''"));
  const selectOne = database.prepare<[number], CalledOffRow & { dayEntryId: string; entryId: string }>(
    calledOffSql("day.id = ?"),
  );
  const insertPutBack = database.prepare<{ entryId: string; at: number }>(`
    INSERT INTO put_back (entry_id, removed_at, removed_device_id, at, device_id)
    SELECT entry_id, at, device_id, @at, visiting_device() FROM entry_taken_back WHERE entry_id = @entryId`);
  const deleteTakenBack = database.prepare<{ entryId: string }>(
    "DELETE FROM entry_taken_back WHERE entry_id = @entryId",
  );
  const wholeRow = ({ dayId, processedOn, calledOffAt, reason }: CalledOffRow): CalledOffDay => ({
    dayId,
    processedOn,
    calledOffAt,
    reason,
    lots: lotting.lots(dayId).map(({ batchId, birds }) => ({ batchId, birds })),
  });

  return {
    /** Whether anything but its plan is kept of a day. */
    hasHappened: (dayId: number): boolean =>
      selectHasHappened.get({ dayId })!.found || selectHasBirds.get(dayId)!.found,

    /** Leaves a day out of every list and sum, so that its birds are free again. What was tapped and noted on it stays. */
    callOff: (entry: Entry, dayId: number, reason: string): Recorded<CallOffRefusal> =>
      entries.once<CallOffRefusal>(entry, ["call-off", dayId, reason], () => {
        const day = selectEntry.get(dayId);
        if (!day) return "gone";
        if (isSettled(dayId)) return "day-settled";
        if (selectHasBirds.get(dayId)!.found) return "birds-weighed";
        if (reason === "" && selectHasHappened.get({ dayId })!.found) return "has-happened";
        insertCallOff.run({ entryId: entry.entryId, dayId, reason });
        entries.remove(day.entryId, entry.at);
        return undefined;
      }),

    /** Days that were called off for a reason, the latest first. */
    calledOffDays: (): CalledOffDay[] => selectCalledOff.all().map(wholeRow),
    calledOffDay: (dayId: number): CalledOffDay | undefined => {
      const row = selectOne.get(dayId);
      return row && wholeRow(row);
    },

    /** Puts a day back that was called off or deleted, if its birds are still free. Doing it again is harmless. */
    putDayBack: database.transaction((dayId: number, at: number): "put-back" | LotRefusal | "gone" => {
      const row = selectOne.get(dayId);
      if (!row) return selectEntry.get(dayId) ? "put-back" : "gone";
      const refusal = lotsFault(lotting.lots(dayId), (batchId) => batches.freeForDay(batchId, dayId));
      if (refusal) return refusal;
      insertPutBack.run({ entryId: row.dayEntryId, at });
      deleteTakenBack.run({ entryId: row.dayEntryId });
      entries.remove(row.entryId, at);
      return "put-back";
    }).immediate,
  };
}
