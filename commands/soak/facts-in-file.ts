import { createHash } from "node:crypto";
import BetterSqlite3, { type Database } from "better-sqlite3";

function read<Value>(path: string, of: (database: Database) => Value): Value {
  const database = new BetterSqlite3(path, { readonly: true });
  try {
    return of(database);
  } finally {
    database.close();
  }
}

/** Each column that names the entry that its row came from. */
const columnsOfEntries = (database: Database) =>
  database
    .prepare<[], { table: string; column: string }>(
      `SELECT tables.name AS "table", keys."from" AS "column" FROM sqlite_master AS tables, pragma_foreign_key_list(tables.name) AS keys
        WHERE tables.type = 'table' AND keys."table" = 'entry'`,
    )
    .all();

/** What these entries say changes a row that names none: a batch, a day's lots, and what a person can do. */
const NAMED_BY_NO_FACT: ReadonlySet<string> = new Set(["batch-changed", "lot", "person-changed"]);

/** Entries that no fact names: something was half written. */
export const entriesWithoutFacts = (path: string): string[] =>
  read(path, (database) => {
    const named = columnsOfEntries(database)
      .map(({ table, column }) => `SELECT "${column}" AS id FROM "${table}"`)
      .join(" UNION ");
    return database
      .prepare<[], { id: string; content: string }>(
        `SELECT id, content FROM entry WHERE id NOT IN (SELECT id FROM (${named}) WHERE id IS NOT NULL)`,
      )
      .all()
      .filter(({ content }) => !NAMED_BY_NO_FACT.has(JSON.parse(content)[0]))
      .map(({ id, content }) => `${id} ${content}`);
  });

/** Rows of every table that came from each entry. */
export const rowsByEntry = (path: string): ReadonlyMap<string, number> =>
  read(path, (database) => {
    const rows = columnsOfEntries(database)
      .map(({ table, column }) => `SELECT "${column}" AS id FROM "${table}"`)
      .join(" UNION ALL ");
    return new Map(
      database
        .prepare<[], { id: string; count: number }>(
          `SELECT entry.id AS id, count(facts.id) AS count FROM entry LEFT JOIN (${rows}) AS facts ON facts.id = entry.id GROUP BY entry.id`,
        )
        .all()
        .map(({ id, count }) => [id, count]),
    );
  });

/** Made anew with each file, or kept by the machine itself. */
const NOT_COMPARED: ReadonlySet<string> = new Set(["file_identity", "device_reading"]);

/** A hash of what each table holds, by its name. */
export const hashesOf = (path: string): ReadonlyMap<string, string> =>
  read(path, (database) => {
    const tables = database
      .prepare<[], { name: string }>(
        "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
      )
      .all()
      .filter(({ name }) => !NOT_COMPARED.has(name));
    return new Map(
      tables.map(({ name }) => {
        const rows = JSON.stringify(database.prepare(`SELECT * FROM "${name}"`).all());
        return [name, createHash("sha256").update(rows).digest("hex")];
      }),
    );
  });

/** Names of the tables that differ. */
export const unlike = (
  one: ReadonlyMap<string, string>,
  other: ReadonlyMap<string, string>,
): readonly string[] =>
  [...new Set([...one.keys(), ...other.keys()])].filter((name) => one.get(name) !== other.get(name));
