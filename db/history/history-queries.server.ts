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

/** Why a removal is not undone. */
export type NotPutBack = "not-alone" | "out-again" | "name-taken" | "grant-taken";

/** Things that are known by their name: no two of them have the same. */
const NAMED = [
  "person",
  "customer",
  "storage_place",
  "supply",
  "container",
  "canning_process",
  "cutting_scheme",
];

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
  const standing = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const isNameTaken = NAMED.map(
    (
      table,
    ) => `EXISTS (SELECT 1 FROM ${table} AS own JOIN ${table} AS other ON lower(other.name) = lower(own.name)
                         WHERE own.entry_id = @entryId AND other.entry_id <> @entryId AND other.${standing})`,
  ).join(" OR ");
  // A farm lets one young person work beside an adult at most.
  const selectIsTaken = database.prepare<{ entryId: string }, { name: number; grant: number }>(`
    SELECT ${isNameTaken} AS name,
           EXISTS (SELECT 1 FROM person AS own JOIN person AS other ON other.beside_adult_stations <> ''
                    WHERE own.entry_id = @entryId AND own.beside_adult_stations <> ''
                      AND other.entry_id <> @entryId AND other.${standing}) AS "grant"`);
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
     * @returns why not: it is of a kind that has rules of its own, or something else has taken its place meanwhile
     */
    putBack: database.transaction((entryId: string, at: number): "put-back" | NotPutBack => {
      if (selectCanPutBack.get({ entryId })?.can !== 1) return "not-alone";
      if (selectIsOutAgain.get({ entryId })!.again === 1) return "out-again";
      const taken = selectIsTaken.get({ entryId })!;
      if (taken.name === 1) return "name-taken";
      if (taken.grant === 1) return "grant-taken";
      insertPutBack.run({ entryId, at });
      deleteTakenBack.run({ entryId });
      return "put-back";
    }).immediate,
  };
}
