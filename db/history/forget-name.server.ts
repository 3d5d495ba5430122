import BetterSqlite3, { type Database } from "better-sqlite3";

/** Letters and digits of any alphabet: a name is found as a word of its own, not inside of another. */
const WORD = String.raw`[\p{L}\p{N}]`;

/**
 * Puts another name in the place of one, wherever it stands as a word: people, crews, taps, notes, names of devices, what entries say, and what
 * rows were before changes. All of it or nothing; what stood there is overwritten on the disk.
 *
 * The file must not be open elsewhere. Not for the thread that answers pages: it reads all of the file.
 *
 * @param name as it is known
 * @param alias what stands there from now on
 * @returns rows in which it stood
 */
export function forgetName(path: string, name: string, alias: string): number {
  const database = new BetterSqlite3(path);
  try {
    const rows = database.transaction(() => replaceEverywhere(database, name, alias)).immediate();
    // What was there before the row last grew or moved may still stand on the disk, and in the log of writes.
    database.exec("VACUUM");
    database.pragma("wal_checkpoint(TRUNCATE)");
    return rows;
  } finally {
    database.close();
  }
}

interface TextColumn {
  readonly table: string;
  readonly column: string;
}

const textColumns = (database: Database): TextColumn[] =>
  database
    .prepare<[], TextColumn>(
      `SELECT tables.name AS "table", columns.name AS "column"
         FROM pragma_table_list AS tables, pragma_table_info(tables.name) AS columns
        WHERE tables.schema = 'main' AND tables.type = 'table' AND tables.name NOT LIKE 'sqlite_%'
          AND columns.type = 'TEXT' AND columns.name <> 'id' AND columns.name NOT LIKE '%entry_id'`,
    )
    .all();

/** What happened is never changed, says a trigger of the file. But a name is not what happened, so the triggers are away meanwhile. */
function replaceEverywhere(database: Database, name: string, alias: string): number {
  const triggers = database
    .prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")
    .all();
  for (const trigger of triggers) database.exec(`DROP TRIGGER "${trigger.name}"`);
  const pattern = new RegExp(`(?<!${WORD})${escaped(name)}(?!${WORD})`, "gu");
  database.function("renamed", { deterministic: true }, (text) =>
    typeof text === "string" ? text.replace(pattern, () => alias) : text,
  );
  let rows = 0;
  for (const { table, column } of textColumns(database))
    rows += database
      .prepare(
        `UPDATE "${table}" SET "${column}" = renamed("${column}") WHERE instr("${column}", @name) > 0 AND renamed("${column}") <> "${column}"`,
      )
      .run({ name }).changes;
  for (const { sql } of triggers) database.exec(sql);
  return rows;
}

const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|/-]/g, String.raw`\$&`);
