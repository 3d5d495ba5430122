import type { Database } from "better-sqlite3";
import type { WhichBirds } from "#core/growth/flock.ts";
import type { ScaldSchool } from "#core/scald/scald-constants.ts";
import type { WithdrawalSchool } from "#core/withdrawal/withdrawal-constants.ts";
import { batchQueries } from "#db/batch/batch-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

export interface DayChoiceRow {
  readonly processedOn: string;
  readonly startAt: number;
  readonly birdCount: number;
  readonly cutUpCount: number;
  readonly peopleCount: number;
  readonly coneCount: number;
  readonly tablePlaceCount: number;
  readonly breakMinutes: number;
  readonly scaldSchool: ScaldSchool;
  readonly withdrawalSchool: WithdrawalSchool;
  readonly whichBirds: WhichBirds;
}

export interface ProcessingDay extends DayChoiceRow {
  readonly id: number;
  /** Made where the day was set, and never changed: what other calendars know it by. */
  readonly entryId: string;
  readonly revision: number;
  readonly batchId: number;
  readonly timeZone: string;
  /** The entry that settled it, or null while it is open. */
  readonly settledEntryId: string | null;
}

/** The plan as it stood when the day was started. */
export interface KeptPlan {
  readonly keptAt: number;
  readonly birdCount: number;
  readonly startAt: number;
  readonly evenChanceAt: number;
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
           start_at AS startAt, bird_count AS birdCount, cut_up_count AS cutUpCount, people_count AS peopleCount,
           cone_count AS coneCount, table_place_count AS tablePlaceCount, break_minutes AS breakMinutes,
           scald_school AS scaldSchool, withdrawal_school AS withdrawalSchool,
           which_birds AS whichBirds,
           (SELECT settlement.entry_id FROM day_settlement AS settlement
             WHERE settlement.day_id = day.id
               AND settlement.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS settledEntryId
      FROM processing_day AS day
     WHERE day.entry_id NOT IN (SELECT entry_id FROM entry_taken_back) AND ${where}
     ORDER BY start_at, day.id`;
  const selectDays = database.prepare<[], ProcessingDay>(daySql("true"));
  const selectDaysOf = database.prepare<[number], ProcessingDay>(daySql("day.batch_id = ?"));
  const settledDays = `(SELECT day_id FROM day_settlement
    WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back))`;
  const selectOpenDays = database.prepare<[], ProcessingDay>(daySql(`day.id NOT IN ${settledDays}`));
  const selectLastDays = database.prepare<[number], { id: number }>(
    "SELECT id FROM processing_day WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY start_at DESC LIMIT ?",
  );
  const selectDay = database.prepare<[number], ProcessingDay>(daySql("day.id = ?"));
  const insertDay = database.prepare<DayChoiceRow & { entryId: string; batchId: number; timeZone: string }>(`
    INSERT INTO processing_day (entry_id, revision, batch_id, processed_on, time_zone, start_at, bird_count, cut_up_count,
                                people_count, cone_count, table_place_count, break_minutes, scald_school, withdrawal_school,
                                which_birds)
    VALUES (@entryId, 1, @batchId, @processedOn, @timeZone, @startAt, @birdCount, @cutUpCount,
            @peopleCount, @coneCount, @tablePlaceCount, @breakMinutes, @scaldSchool, @withdrawalSchool,
            @whichBirds)`);
  const updateDay = database.prepare<DayChoiceRow & { id: number; timeZone: string }>(`
    UPDATE processing_day
       SET revision = revision + 1, processed_on = @processedOn, time_zone = @timeZone, start_at = @startAt,
           bird_count = @birdCount, cut_up_count = @cutUpCount, people_count = @peopleCount, cone_count = @coneCount,
           table_place_count = @tablePlaceCount, break_minutes = @breakMinutes, scald_school = @scaldSchool,
           withdrawal_school = @withdrawalSchool, which_birds = @whichBirds
     WHERE id = @id`);
  const selectDayOfEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM processing_day WHERE entry_id = ?",
  );
  const selectKeptPlan = database.prepare<[number], KeptPlan>(`
    SELECT kept_at AS keptAt, bird_count AS birdCount, start_at AS startAt, even_chance_at AS evenChanceAt,
           whole_day_minutes AS wholeDayMinutes, feed_off_at AS feedOffAt,
           live_mean_milligrams AS liveMeanMilligrams, dressed_mean_milligrams AS dressedMeanMilligrams,
           ice_bag_count AS iceBagCount
      FROM kept_plan WHERE day_id = ?`);

  const day = (id: number): ProcessingDay | undefined => selectDay.get(id);

  return {
    days: (): ProcessingDay[] => selectDays.all(),
    /** Days that are set and not settled. */
    openDays: (): ProcessingDay[] => selectOpenDays.all(),
    /** The last days by their start, the latest first. */
    lastDays: (most: number): ProcessingDay[] => selectLastDays.all(most).map(({ id }) => day(id)!),
    /** The days of one batch. */
    daysOf: (batchId: number): ProcessingDay[] => selectDaysOf.all(batchId),
    day,
    dayOfEntry: (entryId: string): number | undefined => selectDayOfEntry.get(entryId)?.id,
    keptPlan: (dayId: number): KeptPlan | undefined => selectKeptPlan.get(dayId),

    addDay: (
      entry: Entry,
      batchId: number,
      timeZone: string,
      choices: DayChoiceRow,
    ): Recorded<"more-than-alive"> =>
      entries.once(entry, ["day", batchId, choices], () => {
        if (choices.birdCount > batches.freeForDay(batchId)) return "more-than-alive";
        insertDay.run({ entryId: entry.entryId, batchId, timeZone, ...choices });
        return undefined;
      }),

    /** Changes a day if nobody else has since the revision that the person saw. */
    changeDay: database.transaction(
      (id: number, seenRevision: number, timeZone: string, choices: DayChoiceRow): "saved" | SaveRefusal => {
        const standing = day(id);
        if (!standing || standing.revision !== seenRevision) return "changed-meanwhile";
        if (standing.settledEntryId) return "day-settled";
        if (choices.birdCount > batches.freeForDay(standing.batchId, id)) return "more-than-alive";
        updateDay.run({ id, timeZone, ...choices });
        return "saved";
      },
    ).immediate,
  };
}
