import type { Database } from "better-sqlite3";
import { standaloneTables } from "#db/entry.server.ts";
import type { ChangedTable } from "#db/history/keep-changes.server.ts";

/** Something that was entered: when and where, and whether and where it was removed. */
export interface PastEntry {
  readonly entryId: string;
  readonly at: number;
  /** As it was sent: what kind of thing, and what it says. */
  readonly content: readonly unknown[];
  /** Of the device it came from; undefined on the farm's own computer. */
  readonly deviceName: string | undefined;
  readonly removedAt: number | undefined;
  readonly removedByName: string | undefined;
  /** Whether a removal can be undone by itself. */
  readonly canPutBack: boolean;
}

/** A row that was changed: its columns with their values before and after. */
export interface PastChange {
  readonly id: number;
  readonly table: ChangedTable;
  readonly rowId: number;
  readonly at: number;
  readonly deviceName: string | undefined;
  readonly before: Readonly<Record<string, string | number | null>>;
  readonly after: Readonly<Record<string, string | number | null>>;
}

/** A part of a list, newest first. */
export interface Part {
  /** Skips so many. */
  readonly from: number;
  readonly most: number;
}

type EntryRow = Omit<PastEntry, "content" | "canPutBack"> & { content: string; canPutBack: number };
type ChangeRow = Omit<PastChange, "before" | "after"> & { before: string; after: string };

/** Prepares every statement of the history once; call it once per connection. */
export function historyQueries(database: Database) {
  const canPutBack = standaloneTables()
    .map((table) => `EXISTS (SELECT 1 FROM "${table}" WHERE entry_id = entry.id)`)
    .join(" OR ");
  const ofEntry = `
    SELECT entry.id AS entryId, entry.at, entry.content, device.name AS deviceName, gone.at AS removedAt,
           remover.name AS removedByName, gone.at IS NOT NULL AND (${canPutBack}) AS canPutBack
      FROM entry LEFT JOIN joined_device AS device ON device.id = entry.device_id
      LEFT JOIN entry_taken_back AS gone ON gone.entry_id = entry.id
      LEFT JOIN joined_device AS remover ON remover.id = gone.device_id`;
  const selectEntries = database.prepare<Part, EntryRow>(
    `${ofEntry} ORDER BY entry.at DESC, entry.id DESC LIMIT @most OFFSET @from`,
  );
  const selectRemoved = database.prepare<Part, EntryRow>(
    `${ofEntry} WHERE gone.at IS NOT NULL ORDER BY gone.at DESC, entry.id DESC LIMIT @most OFFSET @from`,
  );
  const selectChanges = database.prepare<Part, ChangeRow>(`
    SELECT row_change.id, changed_table AS "table", row_id AS rowId, at, device.name AS deviceName, before, after
      FROM row_change LEFT JOIN joined_device AS device ON device.id = row_change.device_id
     ORDER BY row_change.id DESC LIMIT @most OFFSET @from`);
  const selectCanPutBack = database.prepare<{ entryId: string }, { can: number }>(
    `SELECT ${canPutBack} AS can FROM entry WHERE id = @entryId`,
  );
  const selectIsOutAgain = database.prepare<{ entryId: string }, { again: number }>(`
    SELECT EXISTS (SELECT 1 FROM pack_out AS gone JOIN pack_out AS other ON other.pack_id = gone.pack_id
                    WHERE gone.entry_id = @entryId AND other.entry_id <> @entryId
                      AND other.entry_id NOT IN (SELECT entry_id FROM entry_taken_back)) AS again`);
  const insertPutBack = database.prepare<{ entryId: string; at: number }>(`
    INSERT INTO put_back (entry_id, removed_at, removed_device_id, at, device_id)
    SELECT entry_id, at, device_id, @at, visiting_device() FROM entry_taken_back WHERE entry_id = @entryId`);
  const deleteTakenBack = database.prepare<{ entryId: string }>(
    "DELETE FROM entry_taken_back WHERE entry_id = @entryId",
  );
  const entryOf = ({ content, canPutBack: can, ...row }: EntryRow): PastEntry => ({
    ...row,
    content: JSON.parse(content),
    canPutBack: can === 1,
  });
  return {
    entries: (part: Part): PastEntry[] => selectEntries.all(part).map(entryOf),
    removed: (part: Part): PastEntry[] => selectRemoved.all(part).map(entryOf),
    changes: (part: Part): PastChange[] =>
      selectChanges
        .all(part)
        .map((row) => ({ ...row, before: JSON.parse(row.before), after: JSON.parse(row.after) })),
    /** Whether a removal of the entry could be undone by itself. */
    canPutBack: (entryId: string): boolean => selectCanPutBack.get({ entryId })?.can === 1,
    /**
     * Has a removed entry count again. Doing it again is harmless.
     *
     * @returns why not: it is of a kind that has rules of its own, or its pack has gone out another way meanwhile
     */
    putBack: database.transaction((entryId: string, at: number): "put-back" | "not-alone" | "out-again" => {
      if (selectCanPutBack.get({ entryId })?.can !== 1) return "not-alone";
      if (selectIsOutAgain.get({ entryId })!.again === 1) return "out-again";
      insertPutBack.run({ entryId, at });
      deleteTakenBack.run({ entryId });
      return "put-back";
    }).immediate,
  };
}
