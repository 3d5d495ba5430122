import type { Database } from "better-sqlite3";
import type { CrewSeat } from "#core/day/crew/crew.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A day's choices, in core's shape, and its date. */
export interface DatedChoices extends DayChoices {
  readonly processedOn: string;
}

/** The columns of a day's choices: those without a crew, which has rows of its own, and salt in whole thousandths. */
interface ChoiceColumns extends Omit<DatedChoices, "crew" | "brineFraction"> {
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
  readonly batchId: number;
  readonly timeZone: string;
  /** The entry that settled it, or undefined while it is open. */
  readonly settledEntryId: string | undefined;
}

type DayRow = ChoiceColumns & Omit<ProcessingDay, keyof DayChoices>;

function choicesOfRow({ brinePermille, ...row }: DayRow): Omit<ProcessingDay, "crew"> {
  return { ...row, brineFraction: brinePermille === undefined ? undefined : brinePermille / 1000 };
}

function rowOfChoices({ crew: _crew, brineFraction, ...choices }: DatedChoices): ChoiceColumns {
  const brinePermille = brineFraction === undefined ? undefined : Math.round(brineFraction * 1000);
  return { ...choices, brinePermille };
}

/** The plan as it stood when the day was started. */
export interface KeptPlan {
  readonly keptAt: number;
  readonly birdCount: number;
  readonly startAt: number;
  readonly likelyAt: number;
  readonly wholeDayMinutes: number;
  readonly feedOffAt: number;
  readonly liveMeanMilligrams: number;
  readonly dressedMeanMilligrams: number;
  readonly iceBagCount: number;
}

export type SaveRefusal = "more-than-alive" | "changed-meanwhile" | "day-settled";

/** Prepares every statement of planning a day once; call it once per connection. */
export function dayQueries(database: Database) {
  const entries = entryQueries(database);
  const batches = batchQueries(database);
  const daySql = (where: string) => `
    SELECT day.id, day.entry_id AS entryId, day.revision, day.batch_id AS batchId, processed_on AS processedOn, time_zone AS timeZone,
           start_at AS startAt, bird_count AS birds, cut_up_count AS cutUp, people_count AS people,
           cone_count AS cones, table_place_count AS tablePlaces, break_minutes AS breakMinutes,
           scald_school AS scaldMethod, withdrawal_school AS withdrawalMethod,
           which_birds AS whichBirds, break_at_minute AS breakAtMinute, pin_place_count AS pinPlaces,
           keeps_giblets AS keepsGiblets, pluck_by AS pluckBy, change_water_birds AS changeWaterBirds, brine_permille AS brinePermille,
           keeps_feet AS keepsFeet, packs_same_day AS packsSameDay, is_rain_expected AS isRainExpected,
           (SELECT settlement.entry_id FROM day_settlement AS settlement
             WHERE settlement.day_id = day.id
               AND settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS settledEntryId
      FROM processing_day AS day
     WHERE day.entry_id NOT IN (SELECT entry_id FROM entry_taken_back) AND ${where}
     ORDER BY start_at, day.id`;
  const selectDays = database.prepare<[], DayRow>(daySql("true"));
  const selectDaysOf = database.prepare<[number], DayRow>(daySql("day.batch_id = ?"));
  const settledDays = `(SELECT day_id FROM day_settlement
    WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back))`;
  const selectOpenDays = database.prepare<[], DayRow>(daySql(`day.id NOT IN ${settledDays}`));
  const selectLastDays = database.prepare<[number], { id: number }>(
    "SELECT id FROM processing_day WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY start_at DESC LIMIT ?",
  );
  const selectDay = database.prepare<[number], DayRow>(daySql("day.id = ?"));
  const insertDay = database.prepare<ChoiceColumns & { entryId: string; batchId: number; timeZone: string }>(`
    INSERT INTO processing_day (entry_id, revision, batch_id, processed_on, time_zone, start_at, bird_count, cut_up_count,
                                people_count, cone_count, table_place_count, break_minutes, scald_school, withdrawal_school,
                                which_birds, break_at_minute, pin_place_count, keeps_giblets, pluck_by, change_water_birds,
                                brine_permille, keeps_feet, packs_same_day, is_rain_expected)
    VALUES (@entryId, 1, @batchId, @processedOn, @timeZone, @startAt, @birds, @cutUp,
            @people, @cones, @tablePlaces, @breakMinutes, @scaldMethod, @withdrawalMethod,
            @whichBirds, @breakAtMinute, @pinPlaces, @keepsGiblets, @pluckBy, @changeWaterBirds, @brinePermille,
            @keepsFeet, @packsSameDay, @isRainExpected)`);
  const updateDay = database.prepare<ChoiceColumns & { id: number; timeZone: string }>(`
    UPDATE processing_day
       SET revision = revision + 1, processed_on = @processedOn, time_zone = @timeZone, start_at = @startAt,
           bird_count = @birds, cut_up_count = @cutUp, people_count = @people, cone_count = @cones,
           table_place_count = @tablePlaces, break_minutes = @breakMinutes, scald_school = @scaldMethod,
           withdrawal_school = @withdrawalMethod, which_birds = @whichBirds, break_at_minute = @breakAtMinute,
           pin_place_count = @pinPlaces, keeps_giblets = @keepsGiblets, pluck_by = @pluckBy,
           change_water_birds = @changeWaterBirds, brine_permille = @brinePermille, keeps_feet = @keepsFeet,
           packs_same_day = @packsSameDay, is_rain_expected = @isRainExpected
     WHERE id = @id`);
  const selectDayOfEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM processing_day WHERE entry_id = ?",
  );
  const selectKeptPlan = database.prepare<[number], KeptPlan>(`
    SELECT kept_at AS keptAt, bird_count AS birdCount, start_at AS startAt, even_chance_at AS likelyAt,
           whole_day_minutes AS wholeDayMinutes, feed_off_at AS feedOffAt,
           live_mean_milligrams AS liveMeanMilligrams, dressed_mean_milligrams AS dressedMeanMilligrams,
           ice_bag_count AS iceBagCount
      FROM kept_plan WHERE day_id = ?`);

  const selectCrew = database.prepare<[number], CrewRow>(`
    SELECT day_id AS dayId, seat, person_id AS personId, name, stations FROM day_crew WHERE day_id = ? ORDER BY seat`);
  const deleteCrew = database.prepare<[number]>("DELETE FROM day_crew WHERE day_id = ?");
  const insertSeat = database.prepare<CrewRow>(`
    INSERT INTO day_crew (day_id, seat, person_id, name, stations)
    VALUES (@dayId, @seat, @personId, @name, @stations)`);

  const crewed = (row: DayRow): ProcessingDay => ({
    ...choicesOfRow(row),
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
    return row && crewed(row);
  };

  return {
    days: (): ProcessingDay[] => selectDays.all().map(crewed),
    /** Days that are set and not settled. */
    openDays: (): ProcessingDay[] => selectOpenDays.all().map(crewed),
    /** The last days by their start, the latest first. */
    lastDays: (most: number): ProcessingDay[] => selectLastDays.all(most).map(({ id }) => day(id)!),
    /** The days of one batch. */
    daysOf: (batchId: number): ProcessingDay[] => selectDaysOf.all(batchId).map(crewed),
    day,
    dayOfEntry: (entryId: string): number | undefined => selectDayOfEntry.get(entryId)?.id,
    keptPlan: (dayId: number): KeptPlan | undefined => selectKeptPlan.get(dayId),

    addDay: (
      entry: Entry,
      batchId: number,
      timeZone: string,
      choices: DatedChoices,
    ): Recorded<"more-than-alive"> =>
      entries.once(entry, ["day", batchId, choices], () => {
        if (choices.birds > batches.freeForDay(batchId)) return "more-than-alive";
        const row = rowOfChoices(choices);
        const { lastInsertRowid } = insertDay.run({ entryId: entry.entryId, batchId, timeZone, ...row });
        writeCrew(Number(lastInsertRowid), choices.crew);
        return undefined;
      }),

    /** Changes a day if no one else has since the revision that the person saw. */
    changeDay: database.transaction(
      (id: number, seenRevision: number, timeZone: string, choices: DatedChoices): "saved" | SaveRefusal => {
        const current = day(id);
        if (!current || current.revision !== seenRevision) return "changed-meanwhile";
        if (current.settledEntryId) return "day-settled";
        if (choices.birds > batches.freeForDay(current.batchId, id)) return "more-than-alive";
        updateDay.run({ id, timeZone, ...rowOfChoices(choices) });
        writeCrew(id, choices.crew);
        return "saved";
      },
    ).immediate,
  };
}
