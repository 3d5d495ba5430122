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
    SELECT mark.entry_id AS entryId, carcass.bird_number AS birdNumber,
           frame_width_millimeters AS frameWidthMillimeters, keel_millimeters AS keelMillimeters, fleshing, legs, note
      FROM carcass_mark AS mark JOIN carcass ON carcass.id = mark.carcass_id
     WHERE carcass.day_id = ? AND mark.entry_id NOT IN ${removed} AND carcass.entry_id NOT IN ${removed}
     ORDER BY carcass.bird_number, mark.id`);
  const selectCarcass = database.prepare<[number, number], { id: number }>(`
    SELECT id FROM carcass WHERE day_id = ? AND bird_number = ? AND entry_id NOT IN ${removed}`);
  const insertMark = database.prepare(`
    INSERT INTO carcass_mark (entry_id, carcass_id, frame_width_millimeters, keel_millimeters, fleshing, legs, note)
    VALUES (@entryId, @carcassId, @frameWidthMillimeters, @keelMillimeters, @fleshing, @legs, @note)`);

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
        insertMark.run({ entryId: entry.entryId, carcassId: carcass.id, ...mark });
        return undefined;
      }),
  };
}
