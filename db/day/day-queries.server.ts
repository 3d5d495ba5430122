import type { Database } from "better-sqlite3";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { DayChoices, LotChoices } from "#core/day/plan/plan-input.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { type DayLot, lotQueries } from "#db/day/lot-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A day's choices, in core's shape, and its date. */
export interface DatedChoices extends DayChoices {
  readonly processedOn: string;
}

/** The columns of a day's choices: those without lots and crew, which have rows of their own, and salt in whole thousandths. */
interface ChoiceColumns extends Omit<DatedChoices, "lots" | "crew" | "brineFraction" | "pluckBy"> {
  readonly pluckBy: "drum" | "hand";
  readonly isSkinned: boolean;
  readonly brinePermille: number | undefined;
}

interface CrewRow {
  readonly dayId: number;
  readonly seat: number;
  readonly personId: number | undefined;
  readonly name: string;
  /** With a space between. */
  readonly stations: string;
}

export interface ProcessingDay extends DatedChoices {
  readonly id: number;
  /** Made where the day was set, and never changed: what other calendars know it by. */
  readonly entryId: string;
  readonly revision: number;
  readonly lots: readonly DayLot[];
  readonly timeZone: string;
  /** The entry that settled it, or undefined while it is open. */
  readonly settledEntryId: string | undefined;
}

type DayRow = ChoiceColumns & Omit<ProcessingDay, keyof DayChoices>;

function choicesOfRow({ brinePermille, isSkinned, ...row }: DayRow): Omit<ProcessingDay, "crew" | "lots"> {
  return {
    ...row,
    pluckBy: isSkinned ? "skin" : row.pluckBy,
    brineFraction: brinePermille === undefined ? undefined : brinePermille / 1000,
  };
}

function rowOfChoices({ crew: _crew, lots: _lots, brineFraction, ...choices }: DatedChoices): ChoiceColumns {
  const brinePermille = brineFraction === undefined ? undefined : Math.round(brineFraction * 1000);
  const pluckBy = choices.pluckBy === "drum" ? "drum" : "hand";
  return { ...choices, pluckBy, isSkinned: choices.pluckBy === "skin", brinePermille };
}

/** The plan as it stood when the day was started. */
export interface KeptPlan {
  readonly keptAt: number;
  readonly birdCount: number;
  readonly startAt: number;
  readonly likelyAt: number;
  readonly wholeDayMinutes: number;
  readonly iceBagCount: number;
  readonly lots: readonly KeptLot[];
}

export interface KeptLot {
  readonly lotId: number;
  readonly birdCount: number;
  readonly feedOffAt: number;
  readonly liveMeanMilligrams: number;
  readonly dressedMeanMilligrams: number;
}

export type LotRefusal = "more-than-alive" | "batch-twice";
export type SaveRefusal = LotRefusal | "lot-has-birds" | "changed-meanwhile" | "day-settled";

/** What keeps lots from being a day's: more birds than are alive and free, or one batch in two of them. */
export function lotsFault(
  lots: readonly Pick<LotChoices, "batchId" | "birds">[],
  freeOf: (batchId: number) => number,
): LotRefusal | undefined {
  if (new Set(lots.map(({ batchId }) => batchId)).size < lots.length) return "batch-twice";
  return lots.some(({ batchId, birds }) => birds > freeOf(batchId)) ? "more-than-alive" : undefined;
}

/** Prepares every statement of planning a day once; call it once per connection. */
export function dayQueries(database: Database) {
  const entries = entryQueries(database);
  const batches = batchQueries(database);
  const daySql = (where: string) => `
    SELECT day.id, day.entry_id AS entryId, day.revision, processed_on AS processedOn, time_zone AS timeZone,
           start_at AS startAt, people_count AS people, cone_count AS cones, table_place_count AS tablePlaces,
           break_minutes AS breakMinutes, break_at_minute AS breakAtMinute, pin_place_count AS pinPlaces,
           pluck_by AS pluckBy, change_water_birds AS changeWaterBirds, brine_permille AS brinePermille,
           packs_same_day AS packsSameDay, is_rain_expected AS isRainExpected, is_skinned AS isSkinned,
           rinses_first AS rinsesFirst, cools_after AS coolsAfter,
           (SELECT settlement.entry_id FROM day_settlement AS settlement
             WHERE settlement.day_id = day.id
               AND settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS settledEntryId
      FROM processing_day AS day
     WHERE day.entry_id NOT IN (SELECT entry_id FROM entry_taken_back) AND day.joined_day_id IS NULL AND ${where}
     ORDER BY start_at, day.id`;
  const selectDays = database.prepare<[], DayRow>(daySql("true"));
  const selectDaysOf = database.prepare<[number], DayRow>(
    daySql("day.id IN (SELECT day_id FROM day_lot WHERE batch_id = ? AND removed_at IS NULL)"),
  );
  const settledDays = `(SELECT day_id FROM day_settlement
    WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back))`;
  const selectOpenDays = database.prepare<[], DayRow>(daySql(`day.id NOT IN ${settledDays}`));
  const selectLastDays = database.prepare<[number], { id: number }>(
    `SELECT id FROM processing_day
      WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) AND joined_day_id IS NULL
      ORDER BY start_at DESC LIMIT ?`,
  );
  const selectDay = database.prepare<[number], DayRow>(daySql("day.id = ?"));
  const insertDay = database.prepare<ChoiceColumns & { entryId: string; timeZone: string }>(`
    INSERT INTO processing_day (entry_id, revision, processed_on, time_zone, start_at, people_count, cone_count,
                                table_place_count, break_minutes, break_at_minute, pin_place_count, pluck_by,
                                change_water_birds, brine_permille, packs_same_day, is_rain_expected, is_skinned,
                                rinses_first, cools_after)
    VALUES (@entryId, 1, @processedOn, @timeZone, @startAt, @people, @cones,
            @tablePlaces, @breakMinutes, @breakAtMinute, @pinPlaces, @pluckBy,
            @changeWaterBirds, @brinePermille, @packsSameDay, @isRainExpected, @isSkinned, @rinsesFirst, @coolsAfter)`);
  const updateDay = database.prepare<ChoiceColumns & { id: number; timeZone: string }>(`
    UPDATE processing_day
       SET revision = revision + 1, processed_on = @processedOn, time_zone = @timeZone, start_at = @startAt,
           people_count = @people, cone_count = @cones, table_place_count = @tablePlaces,
           break_minutes = @breakMinutes, break_at_minute = @breakAtMinute, pin_place_count = @pinPlaces,
           pluck_by = @pluckBy, change_water_birds = @changeWaterBirds, brine_permille = @brinePermille,
           packs_same_day = @packsSameDay, is_rain_expected = @isRainExpected,
           is_skinned = @isSkinned, rinses_first = @rinsesFirst, cools_after = @coolsAfter
     WHERE id = @id`);
  const updateZone = database.prepare<{
    id: number;
    processedOn: string;
    startAt: number;
    timeZone: string;
  }>(`
    UPDATE processing_day
       SET revision = revision + 1, processed_on = @processedOn, start_at = @startAt, time_zone = @timeZone
     WHERE id = @id AND time_zone <> @timeZone`);
  const touchDay = database.prepare<[number]>(
    "UPDATE processing_day SET revision = revision + 1 WHERE id = ?",
  );
  const selectDayOfEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM processing_day WHERE entry_id = ?",
  );
  const selectKeptPlan = database.prepare<[number], Omit<KeptPlan, "lots">>(`
    SELECT kept_at AS keptAt, bird_count AS birdCount, start_at AS startAt, even_chance_at AS likelyAt,
           whole_day_minutes AS wholeDayMinutes, ice_bag_count AS iceBagCount
      FROM kept_plan WHERE day_id = ?`);
  const selectKeptLots = database.prepare<[number], KeptLot>(`
    SELECT lot_id AS lotId, kept.bird_count AS birdCount, feed_off_at AS feedOffAt,
           live_mean_milligrams AS liveMeanMilligrams, dressed_mean_milligrams AS dressedMeanMilligrams
      FROM kept_lot AS kept JOIN day_lot AS lot ON lot.id = kept.lot_id WHERE lot.day_id = ? ORDER BY lot.place`);

  const selectCrew = database.prepare<[number], CrewRow>(`
    SELECT day_id AS dayId, seat, person_id AS personId, name, stations FROM day_crew WHERE day_id = ? ORDER BY seat`);
  const deleteCrew = database.prepare<[number]>("DELETE FROM day_crew WHERE day_id = ?");
  const insertSeat = database.prepare<CrewRow>(`
    INSERT INTO day_crew (day_id, seat, person_id, name, stations)
    VALUES (@dayId, @seat, @personId, @name, @stations)`);

  const lotting = lotQueries(database);
  const wholeDay = (row: DayRow): ProcessingDay => ({
    ...choicesOfRow(row),
    lots: lotting.lots(row.id),
    crew: selectCrew.all(row.id).map(({ personId, name, stations }) => ({
      personId: personId,
      name,
      stations: stations.split(" ") as Station[],
    })),
  });
  const writeCrew = (dayId: number, crew: readonly CrewSeat[]): void => {
    deleteCrew.run(dayId);
    for (const [seat, { personId, name, stations }] of crew.entries())
      insertSeat.run({ dayId, seat, personId: personId, name, stations: stations.join(" ") });
  };
  const day = (id: number): ProcessingDay | undefined => {
    const row = selectDay.get(id);
    return row && wholeDay(row);
  };

  const faultOfLots = (lots: readonly LotChoices[], dayId: number) =>
    lotsFault(lots, (batchId) => batches.freeForDay(batchId, dayId));

  return {
    days: (): ProcessingDay[] => selectDays.all().map(wholeDay),
    /** Days that are set and not settled. */
    openDays: (): ProcessingDay[] => selectOpenDays.all().map(wholeDay),
    /** The last days by their start, the latest first. */
    lastDays: (most: number): ProcessingDay[] => selectLastDays.all(most).map(({ id }) => day(id)!),
    /** The days of one batch. */
    daysOf: (batchId: number): ProcessingDay[] => selectDaysOf.all(batchId).map(wholeDay),
    day,
    dayOfEntry: (entryId: string): number | undefined => selectDayOfEntry.get(entryId)?.id,
    keptPlan: (dayId: number): KeptPlan | undefined => {
      const kept = selectKeptPlan.get(dayId);
      return kept && { ...kept, lots: selectKeptLots.all(dayId) };
    },

    removedLot: lotting.removedLot,
    /** Puts a lot that was taken off back, if its birds are still free; doing it again is harmless. */
    restoreLot: database.transaction(
      (dayId: number, lotId: number): "restored" | LotRefusal | "day-settled" => {
        const current = day(dayId);
        const removed = lotting.removedLot(dayId, lotId);
        if (current?.lots.some(({ id }) => id === lotId)) return "restored";
        if (!current || !removed || current.settledEntryId) return "day-settled";
        const refusal = faultOfLots([...current.lots, removed], dayId);
        if (refusal) return refusal;
        lotting.restoreLot(dayId, lotId);
        touchDay.run(dayId);
        return "restored";
      },
    ).immediate,

    /** Adds a lot to a day, killed after the others. */
    addLot: (entry: Entry, dayId: number, lot: LotChoices): Recorded<LotRefusal | "day-settled"> =>
      entries.once(entry, ["lot", dayId, lot], () => {
        const current = day(dayId);
        if (!current || current.settledEntryId) return "day-settled";
        const lots = [...current.lots, lot];
        const refusal = faultOfLots(lots, dayId);
        if (refusal) return refusal;
        lotting.writeLots(dayId, lots, entry.at);
        touchDay.run(dayId);
        return undefined;
      }),

    addDay: (entry: Entry, timeZone: string, choices: DatedChoices): Recorded<LotRefusal> =>
      entries.once(entry, ["day", choices], () => {
        const refusal = faultOfLots(choices.lots, 0);
        if (refusal) return refusal;
        const row = rowOfChoices(choices);
        const dayId = Number(insertDay.run({ entryId: entry.entryId, timeZone, ...row }).lastInsertRowid);
        lotting.writeLots(dayId, choices.lots, entry.at);
        writeCrew(dayId, choices.crew);
        return undefined;
      }),

    /** Has days go by another clock: each with its date and start by it. */
    moveToZone: database.transaction(
      (
        days: readonly { readonly id: number; readonly processedOn: string; readonly startAt: number }[],
        timeZone: string,
      ): void => {
        for (const of of days) updateZone.run({ ...of, timeZone });
      },
    ).immediate,

    /** Changes a day if no one else has since the revision that the person saw. */
    changeDay: database.transaction(
      (
        id: number,
        { seenRevision, timeZone, at }: { seenRevision: number; timeZone: string; at: number },
        choices: DatedChoices,
      ): "saved" | SaveRefusal => {
        const current = day(id);
        if (!current || current.revision !== seenRevision) return "changed-meanwhile";
        if (current.settledEntryId) return "day-settled";
        const refusal = faultOfLots(choices.lots, id);
        if (refusal) return refusal;
        if (lotting.lotsWithBirdsMissing(id, choices.lots).length > 0) return "lot-has-birds";
        updateDay.run({ id, timeZone, ...rowOfChoices(choices) });
        lotting.writeLots(id, choices.lots, at);
        writeCrew(id, choices.crew);
        return "saved";
      },
    ).immediate,
  };
}
