import type { Database } from "better-sqlite3";
import { type DayFact, type FactKind, plainFact } from "#core/day/run/day-fact.ts";
import type { KeptLot, KeptPlan } from "#db/day/day-queries.server.ts";
import { OF_DAY } from "#db/day/join-queries.server.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

interface FactRow {
  readonly entry_id: string;
  readonly kind: FactKind;
  readonly at: number;
  readonly note: string;
  readonly person: string;
  readonly device: string;
  readonly bird_count: number | undefined;
  readonly thing_number: number | undefined;
  readonly millicelsius: number | undefined;
  readonly ice_millibags: number | undefined;
  readonly word: string | undefined;
  readonly of_entry_id: string | undefined;
}

const factFromRow = (row: FactRow): DayFact => ({
  entryId: row.entry_id,
  kind: row.kind,
  at: row.at,
  note: row.note,
  person: row.person,
  device: row.device,
  birds: row.bird_count,
  number: row.thing_number,
  celsius: row.millicelsius === undefined ? undefined : row.millicelsius / 1000,
  bags: row.ice_millibags === undefined ? undefined : row.ice_millibags / 1000,
  word: row.word,
  of: row.of_entry_id,
});

const rowFromFact = (fact: DayFact): FactRow => ({
  entry_id: fact.entryId,
  kind: fact.kind,
  at: fact.at,
  note: fact.note,
  person: fact.person,
  device: fact.device,
  bird_count: fact.birds,
  thing_number: fact.number,
  millicelsius: fact.celsius === undefined ? undefined : Math.round(fact.celsius * 1000),
  ice_millibags: fact.bags === undefined ? undefined : Math.round(fact.bags * 1000),
  word: fact.word,
  of_entry_id: fact.of,
});

/** A fact that is to be kept: its kind and time, and what else it says. */
export type SaidFact = Pick<DayFact, "kind" | "at"> & Partial<Omit<DayFact, "entryId">>;

/** What has changed about a day since a cursor: facts that were added, and entries that were removed. */
export interface DayNews {
  /** To ask from next time. */
  readonly cursor: number;
  readonly facts: readonly DayFact[];
  readonly removed: readonly string[];
}

const FACT_COLUMNS = `entry_id, kind, at, note, person, device, bird_count, thing_number, millicelsius,
           ice_millibags, word, of_entry_id`;
const IS_REMOVED = "entry_id IN (SELECT entry_id FROM entry_taken_back)";

/** Prepares every statement of running a day once; call it once per connection. */
export function runQueries(database: Database) {
  const entries = entryQueries(database);
  const selectFileId = database.prepare<[], { id: string }>("SELECT id FROM file_identity");
  const selectFacts = database.prepare<{ dayId: number }, FactRow>(`
    SELECT ${FACT_COLUMNS} FROM day_fact WHERE day_id ${OF_DAY} AND NOT ${IS_REMOVED} ORDER BY at, id`);
  const selectHasBegun = database.prepare<{ dayId: number }, { begun: number }>(`
    SELECT EXISTS (SELECT 1 FROM day_fact WHERE day_id ${OF_DAY} AND kind IN ('start', 'finish') AND NOT ${IS_REMOVED}) AS begun`);
  const selectCursor = database.prepare<{ dayId: number }, { cursor: number }>(
    `SELECT coalesce(max(id), 0) AS cursor FROM day_change WHERE day_id ${OF_DAY}`,
  );
  const selectNews = database.prepare<{ dayId: number; after: number }, FactRow & { isRemoved: boolean }>(`
    SELECT ${FACT_COLUMNS}, ${IS_REMOVED} AS isRemoved FROM day_fact
     WHERE entry_id IN (SELECT entry_id FROM day_change WHERE day_id ${OF_DAY} AND id > @after) ORDER BY at, id`);
  const insertFact = database.prepare<FactRow & { day_id: number }>(`
    INSERT INTO day_fact (day_id, ${FACT_COLUMNS})
    VALUES (@day_id, @entry_id, @kind, @at, @note, @person, @device, @bird_count, @thing_number, @millicelsius,
            @ice_millibags, @word, @of_entry_id)`);
  const isSettled = settledCheck(database);
  const selectDevice = database.prepare<{ dayId: number; entryId: string }, { device: string }>(
    `SELECT device FROM day_fact WHERE day_id ${OF_DAY} AND entry_id = @entryId`,
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

  const cursorOf = (dayId: number) => selectCursor.get({ dayId })!.cursor;

  const record = (
    { entryId, at }: Entry,
    dayId: number,
    said: SaidFact,
    alongside?: () => void,
  ): Recorded<"day-settled"> => {
    const fact = { ...plainFact(said.kind, said.at), ...said, entryId };
    return entries.once({ entryId, at }, ["event", dayId, ...whatIsSaid(fact)], () => {
      if (isSettled(dayId)) return "day-settled";
      insertFact.run({ day_id: dayId, ...rowFromFact(fact) });
      alongside?.();
      return undefined;
    });
  };

  return {
    /** Made with the file: phones keep what waits for it under this id. */
    fileId: (): string => selectFileId.get()!.id,
    /** What happened and was not removed, in order of time. */
    facts: (dayId: number): DayFact[] => selectFacts.all({ dayId }).map(factFromRow),
    /** Whether somebody has started it, or finished it without. */
    hasBegun: (dayId: number): boolean => selectHasBegun.get({ dayId })!.begun === 1,
    cursor: cursorOf,
    /** What is new since a cursor; all that there is since 0. */
    news: database.transaction((dayId: number, after: number): DayNews => {
      const rows = selectNews.all({ dayId, after });
      return {
        cursor: cursorOf(dayId),
        facts: rows.filter(({ isRemoved }) => !isRemoved).map(factFromRow),
        removed: rows.filter(({ isRemoved }) => isRemoved).map(({ entry_id }) => entry_id),
      };
    }),
    record,
    /** Keeps the plan as it stands, where none is kept yet. */
    keepPlan,
    /** Starts the day and keeps the plan as it stands at that moment. */
    start: (entry: Entry, dayId: number, fact: SaidFact, plan: KeptPlan): Recorded<"day-settled"> =>
      record(entry, dayId, fact, () => keepPlan(dayId, plan)),
    /**
     * Takes back one of the day's own facts, if the day is open.
     *
     * @param device that asks; what another device said is left alone, unless no device is named on either side
     */
    remove: database.transaction(
      (dayId: number, entryId: string, at: number, device = ""): "taken-back" | "day-settled" | "not-own" => {
        if (isSettled(dayId)) return "day-settled";
        const said = selectDevice.get({ dayId, entryId });
        if (said && said.device !== "" && said.device !== device) return "not-own";
        if (said) entries.remove(entryId, at);
        return "taken-back";
      },
    ).immediate,
  };
}

/** What tells a repeat from something else. A tap sent again may carry the phone's own later clock, so its time is left out. */
function whatIsSaid({
  kind,
  note,
  birds,
  number,
  celsius,
  bags,
  word,
  of,
}: Omit<DayFact, "entryId">): unknown[] {
  const more = [birds, number, celsius, bags, word, of];
  return more.every((one) => one === undefined)
    ? [kind, note]
    : [kind, note, ...more.map((one) => one ?? null)];
}
