import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A breeder's marks of one bird. A mark that was not taken is undefined. */
export interface CarcassMark {
  readonly entryId: string;
  readonly birdNumber: number;
  readonly frameWidthMillimeters: number | undefined;
  readonly keelMillimeters: number | undefined;
  /** From 1, lean, to 5, full. */
  readonly fleshing: number | undefined;
  readonly legs: string;
  readonly note: string;
}

/** Prepares every statement of breeders' marks once; call it once per connection. */
export function markQueries(database: Database) {
  const entries = entryQueries(database);
  const removed = "(SELECT entry_id FROM entry_taken_back)";
  const selectMarks = database.prepare<[number], CarcassMark>(`
    SELECT mark.entry_id AS entryId, now.bird_number AS birdNumber,
           frame_width_millimeters AS frameWidthMillimeters, keel_millimeters AS keelMillimeters, fleshing, legs, note
      FROM pack_mark AS mark JOIN pack_now AS now ON now.pack_id = mark.pack_id
     WHERE now.day_id = ? AND now.bird_number IS NOT NULL AND mark.entry_id NOT IN ${removed}
     ORDER BY now.bird_number, mark.id`);
  const selectCarcass = database.prepare<[number, number], { packId: number }>(
    "SELECT pack_id AS packId FROM pack_now WHERE day_id = ? AND bird_number = ?",
  );
  const insertMark = database.prepare(`
    INSERT INTO pack_mark (entry_id, pack_id, frame_width_millimeters, keel_millimeters, fleshing, legs, note)
    VALUES (@entryId, @packId, @frameWidthMillimeters, @keelMillimeters, @fleshing, @legs, @note)`);

  return {
    /** Marks of a day's birds, by bird. */
    marks: (dayId: number): CarcassMark[] => selectMarks.all(dayId),
    recordMark: (
      entry: Entry,
      dayId: number,
      { birdNumber, ...mark }: Omit<CarcassMark, "entryId">,
    ): Recorded<"no-such-bird"> =>
      entries.once(entry, ["mark", dayId, birdNumber, mark], () => {
        const carcass = selectCarcass.get(dayId, birdNumber);
        if (!carcass) return "no-such-bird";
        insertMark.run({ entryId: entry.entryId, packId: carcass.packId, ...mark });
        return undefined;
      }),
  };
}
