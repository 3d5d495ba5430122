import type { Database } from "better-sqlite3";
import type { CanningStep } from "#core/packing/canning.ts";
import { settledCheck } from "#db/day/settled.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A tested process as the farm copied it from its source. */
export interface CanningProcess {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly testedBy: string;
  readonly publishedYear: number;
  readonly jarMilliliters: number;
  readonly minutes: number;
  /** At least one. */
  readonly steps: readonly CanningStep[];
}

/** A load of the canner, with what was asked of it then. */
export interface CanningLoad {
  readonly entryId: string;
  readonly processName: string;
  readonly testedBy: string;
  readonly publishedYear: number;
  readonly altitudeMeters: number;
  readonly pascals: number;
  readonly minutes: number;
  readonly jars: number;
  readonly sealed: number;
  readonly doneAt: number;
}

type NewProcess = Omit<CanningProcess, "id" | "entryId">;

/** Prepares every statement of canning once; call it once per connection. */
export function canningQueries(database: Database) {
  const entries = entryQueries(database);
  const isSettled = settledCheck(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectProcesses = database.prepare<[], Omit<CanningProcess, "steps">>(`
    SELECT id, entry_id AS entryId, name, tested_by AS testedBy, published_year AS publishedYear,
           jar_milliliters AS jarMilliliters, minutes
      FROM canning_process WHERE entry_id NOT IN ${removed} ORDER BY id`);
  const selectSteps = database.prepare<[number], CanningStep>(
    "SELECT up_to_meters AS upToMeters, pascals FROM canning_step WHERE process_id = ? ORDER BY up_to_meters",
  );
  const insertProcess = database.prepare(`
    INSERT INTO canning_process (entry_id, name, tested_by, published_year, jar_milliliters, minutes)
    VALUES (@entryId, @name, @testedBy, @publishedYear, @jarMilliliters, @minutes)`);
  const insertStep = database.prepare(
    "INSERT INTO canning_step (process_id, up_to_meters, pascals) VALUES (@processId, @upToMeters, @pascals)",
  );
  const selectLoads = database.prepare<[number], CanningLoad>(`
    SELECT load.entry_id AS entryId, process.name AS processName, process.tested_by AS testedBy,
           process.published_year AS publishedYear, load.altitude_meters AS altitudeMeters, load.pascals, load.minutes,
           load.jar_count AS jars, load.sealed_count AS sealed, load.done_at AS doneAt
      FROM canning_load AS load JOIN canning_process AS process ON process.id = load.process_id
     WHERE load.day_id = ? AND load.entry_id NOT IN ${removed} ORDER BY load.id`);
  const insertLoad = database.prepare(`
    INSERT INTO canning_load (entry_id, day_id, process_id, altitude_meters, pascals, minutes, jar_count, sealed_count, done_at)
    VALUES (@entryId, @dayId, @processId, @altitudeMeters, @pascals, @minutes, @jars, @sealed, @doneAt)`);
  const processes = (): CanningProcess[] =>
    selectProcesses.all().map((process) => ({ ...process, steps: selectSteps.all(process.id) }));

  return {
    processes,
    addProcess: (entry: Entry, { steps, ...process }: NewProcess): Recorded<"name-taken"> =>
      entries.once(entry, ["canning-process", process, steps], () => {
        if (processes().some(({ name }) => name === process.name)) return "name-taken";
        const processId = Number(insertProcess.run({ ...process, entryId: entry.entryId }).lastInsertRowid);
        for (const step of steps) insertStep.run({ ...step, processId });
        return undefined;
      }),
    /** A day's loads of the canner, in order of time. */
    loads: (dayId: number): CanningLoad[] => selectLoads.all(dayId),
    recordLoad: (
      entry: Entry,
      dayId: number,
      load: Pick<CanningLoad, "altitudeMeters" | "pascals" | "minutes" | "jars" | "sealed"> & {
        processId: number;
      },
    ): Recorded<"day-settled" | "process-unknown"> =>
      entries.once(entry, ["canning-load", dayId, load], () => {
        if (isSettled(dayId)) return "day-settled";
        if (!processes().some(({ id }) => id === load.processId)) return "process-unknown";
        insertLoad.run({ ...load, entryId: entry.entryId, dayId, doneAt: entry.at });
        return undefined;
      }),
  };
}
