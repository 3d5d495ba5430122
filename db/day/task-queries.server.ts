import type { Database } from "better-sqlite3";
import { OF_DAY } from "#db/day/join-queries.server.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A task that was ticked, and when. */
export interface TaskDone {
  readonly entryId: string;
  readonly task: string;
  readonly doneAt: number;
}

/** Prepares every statement of a day's tasks once; call it once per connection. */
export function taskQueries(database: Database) {
  const entries = entryQueries(database);
  const selectDone = database.prepare<{ dayId: number }, TaskDone>(`
    SELECT done.entry_id AS entryId, done.task, entry.at AS doneAt
      FROM day_task_done AS done JOIN entry ON entry.id = done.entry_id
     WHERE done.day_id ${OF_DAY} AND done.entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY done.id`);
  const insertDone = database.prepare<{ entryId: string; dayId: number; task: string }>(
    "INSERT INTO day_task_done (entry_id, day_id, task) VALUES (@entryId, @dayId, @task)",
  );
  return {
    done: (dayId: number): TaskDone[] => selectDone.all({ dayId }),
    /** Ticks a task; where someone else has ticked it meanwhile, theirs stands and nothing is kept. */
    tick: (entry: Entry, dayId: number, task: string): Recorded<"ticked-already"> =>
      entries.once(entry, ["task", dayId, task], () => {
        if (selectDone.all({ dayId }).some((done) => done.task === task)) return "ticked-already";
        insertDone.run({ entryId: entry.entryId, dayId, task });
        return undefined;
      }),
  };
}
