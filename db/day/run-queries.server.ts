import type { Database } from "better-sqlite3";
import type { RunEventKind } from "#core/day/run/run-progress.ts";
import type { KeptLot, KeptPlan } from "#db/day/day-queries.server.ts";
import { OF_DAY } from "#db/day/join-queries.server.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface DayEvent {
  readonly entryId: string;
  readonly kind: RunEventKind;
  readonly at: number;
  readonly note: string;
}

/** Prepares every statement of running a day once; call it once per connection. */
export function runQueries(database: Database) {
  const entries = entryQueries(database);
  const selectEvents = database.prepare<{ dayId: number }, DayEvent>(`
    SELECT entry_id AS entryId, kind, at, note FROM day_event
     WHERE day_id ${OF_DAY} AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY at, id`);
  const insertEvent = database.prepare<DayEvent & { dayId: number }>(`
    INSERT INTO day_event (entry_id, day_id, kind, at, note) VALUES (@entryId, @dayId, @kind, @at, @note)`);
  const isSettled = settledCheck(database);
  const selectIsOfDay = database.prepare<{ dayId: number; entryId: string }, { found: boolean }>(
    `SELECT EXISTS (SELECT 1 FROM day_event WHERE day_id ${OF_DAY} AND entry_id = @entryId) AS found`,
  );
  const insertKeptPlan = database.prepare<Omit<KeptPlan, "lots"> & { dayId: number }>(`
    INSERT INTO kept_plan (day_id, kept_at, bird_count, start_at, even_chance_at, whole_day_minutes, ice_bag_count)
    VALUES (@dayId, @keptAt, @birdCount, @startAt, @likelyAt, @wholeDayMinutes, @iceBagCount)
    ON CONFLICT (day_id) DO NOTHING`);
  const insertKeptLot = database.prepare<KeptLot>(`
    INSERT INTO kept_lot (lot_id, bird_count, feed_off_at, live_mean_milligrams, dressed_mean_milligrams)
    VALUES (@lotId, @birdCount, @feedOffAt, @liveMeanMilligrams, @dressedMeanMilligrams)`);
  const keepPlan = (dayId: number, { lots, ...plan }: KeptPlan): void => {
    if (insertKeptPlan.run({ dayId, ...plan }).changes === 0) return;
    for (const lot of lots) insertKeptLot.run(lot);
  };

  const record = (
    entry: Entry,
    dayId: number,
    event: Omit<DayEvent, "entryId">,
    alongside?: () => void,
  ): Recorded<"day-settled"> =>
    // A tap sent again may carry the phone's own later clock: what tells it apart is its kind, not its time.
    entries.once(entry, ["event", dayId, event.kind, event.note], () => {
      if (isSettled(dayId)) return "day-settled";
      insertEvent.run({ entryId: entry.entryId, dayId, ...event });
      alongside?.();
      return undefined;
    });

  return {
    /** What happened and was not removed, in order of time. */
    events: (dayId: number): DayEvent[] => selectEvents.all({ dayId }),
    record,
    /** Starts the day and keeps the plan as it stands at that moment. */
    start: (entry: Entry, dayId: number, at: number, plan: KeptPlan): Recorded<"day-settled"> =>
      record(entry, dayId, { kind: "start", at, note: "" }, () => keepPlan(dayId, plan)),
    /** Takes back one of the day's own events, if the day is open. */
    remove: database.transaction(
      (dayId: number, entryId: string, at: number): "taken-back" | "day-settled" => {
        if (isSettled(dayId)) return "day-settled";
        if (selectIsOfDay.get({ dayId, entryId })!.found) entries.remove(entryId, at);
        return "taken-back";
      },
    ).immediate,
  };
}
