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
 * @param customerId of the customer that it is the name of: how to reach them, and what was noted of them, goes too
 * @returns rows in which it stood
 */
export function forgetName(path: string, name: string, alias: string, customerId?: number): number {
  const database = new BetterSqlite3(path);
  try {
    const rows = database
      .transaction(() => {
        if (customerId !== undefined) clearContact(database, customerId);
        return replaceEverywhere(database, name, alias);
      })
      .immediate();
    // What was there before the row last grew or moved may still stand on the disk, and in the log of writes.
    database.exec("VACUUM");
    database.pragma("wal_checkpoint(TRUNCATE)");
    return rows;
  } finally {
    database.close();
  }
}

/** Takes contact and note out of a customer, of what was entered of them, and of what they were before changes. */
function clearContact(database: Database, id: number): void {
  const empty = (json: string, at: string) => `json_set(${json}, '${at}.contact', '', '${at}.note', '')`;
  database.prepare("UPDATE customer SET contact = '', note = '' WHERE id = ?").run(id);
  database
    .prepare(
      `UPDATE entry SET content = ${empty("content", "$[1]")}
        WHERE id = (SELECT entry_id FROM customer WHERE id = ?) AND json_extract(content, '$[0]') = 'customer'`,
    )
    .run(id);
  database
    .prepare(
      `UPDATE row_change SET before = ${empty("before", "$")}, after = ${empty("after", "$")}
        WHERE changed_table = 'customer' AND row_id = ?`,
    )
    .run(id);
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
