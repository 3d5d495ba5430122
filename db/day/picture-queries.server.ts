import { createHash } from "node:crypto";
import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A picture of a day, without the picture itself. */
export interface DayPicture {
  readonly entryId: string;
  /** The fact that it shows. */
  readonly of: string;
}

/** The largest picture that is kept, bytes. */
export const MOST_PICTURE_BYTES = 200 * 1024;
/** No day has more: a farm's file stays small enough to be carried. */
const MOST_PICTURES = 200;

/** Prepares every statement of a day's pictures once; call it once per connection. */
export function pictureQueries(database: Database) {
  const entries = entryQueries(database);
  const selectPictures = database.prepare<[number], DayPicture>(`
    SELECT entry_id AS entryId, of_entry_id AS "of" FROM day_picture
     WHERE day_id = ? AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
       AND of_entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY id`);
  const selectJpeg = database.prepare<[number, string], { jpeg: Buffer }>(
    "SELECT jpeg FROM day_picture JOIN picture USING (sha256) WHERE day_id = ? AND entry_id = ?",
  );
  const selectLook = database.prepare<[number, string], { id: number }>(
    "SELECT id FROM day_fact WHERE day_id = ? AND entry_id = ? AND kind = 'look'",
  );
  const insertPicture = database.prepare<{ sha256: string; jpeg: Buffer }>(
    "INSERT INTO picture (sha256, jpeg) VALUES (@sha256, @jpeg) ON CONFLICT DO NOTHING",
  );
  const insert = database.prepare<DayPicture & { dayId: number; sha256: string }>(
    "INSERT INTO day_picture (entry_id, day_id, of_entry_id, sha256) VALUES (@entryId, @dayId, @of, @sha256)",
  );
  return {
    /** Of birds whose look was not taken back, in the order in which they came. */
    pictures: (dayId: number): DayPicture[] => selectPictures.all(dayId),
    jpeg: (dayId: number, entryId: string): Buffer | undefined => selectJpeg.get(dayId, entryId)?.jpeg,
    /** Keeps a picture of a bird that was looked at. @param jpeg at most 200 kB */
    addPicture: (
      entry: Entry,
      dayId: number,
      of: string,
      jpeg: Buffer,
    ): Recorded<"no-such-look" | "too-many"> => {
      const sha256 = createHash("sha256").update(jpeg).digest("hex");
      return entries.once(entry, ["picture", dayId, of, sha256], () => {
        if (!selectLook.get(dayId, of)) return "no-such-look";
        if (selectPictures.all(dayId).length >= MOST_PICTURES) return "too-many";
        insertPicture.run({ sha256, jpeg });
        insert.run({ entryId: entry.entryId, dayId, of, sha256 });
        return undefined;
      });
    },
  };
}
