import BetterSqlite3, { type Database } from "better-sqlite3";
import { makeFile, newestVersion } from "#db/open-file.server.ts";

const FORMAT = "pale-morning-farm";
/** Secrets, and the devices that have them, stay with their file. */
const LEFT_OUT: readonly string[] = ["passphrase", "invitation", "joined_device"];
/** How every column ends that names a device that is left out. */
const DEVICE_COLUMN = "device_id";

type Cell = string | number | null | { readonly base64: string };
type Row = Readonly<Record<string, Cell>>;

/** What keeps a text from being read as a farm: in words, with the table and the row. */
export class ImportFault extends Error {}

/**
 * Writes a farm as JSON, a row a line: each table of the file as a list, each row by its columns, as whole numbers with their units in
 * the columns' names. What is not known is left out; pictures are in base 64.
 *
 * @param path of the data file, which must be of this version; it may be open and written meanwhile: what is told is as it was at one moment
 */
export function* exportedFarm(path: string): Generator<string> {
  const database = new BetterSqlite3(path, { readonly: true });
  try {
    database.exec("BEGIN");
    const tables = exportedTables(database);
    const version = database.pragma("user_version", { simple: true });
    yield `{"format":"${FORMAT}","version":${version},"tables":{`;
    for (const [index, table] of tables.entries()) {
      yield `${index === 0 ? "" : ","}\n"${table}":[`;
      let isFirst = true;
      for (const row of database.prepare(selectOfExport(database, table)).iterate()) {
        yield `${isFirst ? "" : ","}\n${JSON.stringify(cells(row as Record<string, unknown>))}`;
        isFirst = false;
      }
      yield "]";
    }
    yield "}}\n";
  } finally {
    database.close();
  }
}

/** Tables that leave the file with an export, by name. */
export const exportedTables = (database: Database): string[] =>
  (database.pragma("table_list") as { schema: string; name: string; type: string }[])
    .filter(({ schema, type, name }) => schema === "main" && type === "table" && !name.startsWith("sqlite_"))
    .map(({ name }) => name)
    .filter((name) => !LEFT_OUT.includes(name))
    .toSorted();

interface Column {
  readonly name: string;
  readonly type: string;
  /** Its place in the primary key, from 1; 0 where it is not in it. */
  readonly pk: number;
}

/** Columns of a table that leave the file with an export. */
export const exportedColumns = (database: Database, table: string): Column[] =>
  (database.pragma(`table_info("${table}")`) as Column[]).filter(({ name }) => !name.endsWith(DEVICE_COLUMN));

/** Reads the rows of a table that leave the file with an export, in their order. */
export function selectOfExport(database: Database, table: string): string {
  const columns = exportedColumns(database, table);
  const [{ wr }] = database.pragma(`table_list("${table}")`) as [{ wr: number }];
  const key = columns.filter(({ pk }) => pk > 0).toSorted((one, other) => one.pk - other.pk);
  const order = wr === 1 ? key.map(({ name }) => `"${name}"`).join() : "rowid";
  const where =
    table === "entry"
      ? `WHERE id NOT IN (${SECRET_ENTRIES})`
      : table === "entry_taken_back"
        ? `WHERE entry_id NOT IN (${SECRET_ENTRIES})`
        : "";
  return `SELECT ${columns.map(({ name }) => `"${name}"`).join()} FROM "${table}" ${where} ORDER BY ${order}`;
}

const SECRET_ENTRIES = LEFT_OUT.map((table) => `SELECT entry_id FROM "${table}"`).join(" UNION ");

const cells = (row: Record<string, unknown>): Row =>
  Object.fromEntries(
    Object.entries(row)
      .filter(([, value]) => value !== null)
      .map(([name, value]) => [
        name,
        Buffer.isBuffer(value) ? { base64: value.toString("base64") } : (value as Cell),
      ]),
  );

/**
 * Makes a data file of an exported farm, of the version that it was exported at; opening it brings it up to date.
 *
 * @param path of the file, which must not be there yet
 * @throws {ImportFault} if the text is no export, or of a newer version, or a row can't be kept
 */
export function importFarm(text: string, path: string): void {
  const { version, tables } = parsed(text);
  const database = makeFile(path, version);
  try {
    database.pragma("foreign_keys = OFF");
    database.transaction(() => fill(database, tables))();
    const [broken] = database.pragma("foreign_key_check") as {
      table: string;
      rowid: number;
      parent: string;
    }[];
    if (broken)
      throw new ImportFault(`Table ${broken.table} names a row of ${broken.parent} that is not there`);
  } finally {
    database.close();
  }
}

interface Exported {
  readonly version: number;
  readonly tables: Readonly<Record<string, readonly Row[]>>;
}

function parsed(text: string): Exported {
  const read = parsedJson(text);
  if (read?.format !== FORMAT || typeof read.tables !== "object" || read.tables === null)
    throw new ImportFault("This is not an export of Pale Morning");
  if (!Number.isInteger(read.version) || read.version < 1)
    throw new ImportFault("This export names no version");
  if (read.version > newestVersion())
    throw new ImportFault("This export is of a newer version of Pale Morning. Update it, and try again");
  return read;
}

function parsedJson(text: string) {
  try {
    return JSON.parse(text) as Exported & { readonly format?: unknown };
  } catch (error) {
    throw new ImportFault(`This can't be read as JSON: ${error instanceof Error ? error.message : error}`);
  }
}

/** Writes the rows as they were. What tables count by themselves is in the rows already, so nothing counts while they are written. */
function fill(database: Database, tables: Exported["tables"]): void {
  const triggers = database
    .prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")
    .all();
  for (const { name } of triggers) database.exec(`DROP TRIGGER "${name}"`);
  const known = exportedTables(database);
  for (const table of known) database.exec(`DELETE FROM "${table}"`);
  for (const [table, rows] of Object.entries(tables)) {
    if (!known.includes(table) || !Array.isArray(rows)) throw new ImportFault(`There is no table ${table}`);
    fillTable(database, table, rows);
  }
  for (const { sql } of triggers) database.exec(sql);
}

function fillTable(database: Database, table: string, rows: readonly Row[]): void {
  const columns = new Set(exportedColumns(database, table).map(({ name }) => name));
  for (const [index, row] of rows.entries()) {
    const at = `Table ${table}, row ${index + 1}`;
    if (typeof row !== "object" || row === null) throw new ImportFault(`${at} is no row`);
    const names = Object.keys(row);
    const unknown = names.find((name) => !columns.has(name));
    if (unknown !== undefined || names.length === 0)
      throw new ImportFault(`${at}: there is no column ${unknown ?? "in it"}`);
    try {
      database
        .prepare(
          `INSERT INTO "${table}" (${names.map((name) => `"${name}"`).join()}) VALUES (${names.map(() => "?").join()})`,
        )
        .run(...names.map((name) => bound(row[name]!)));
    } catch (error) {
      throw new ImportFault(`${at}: ${error instanceof Error ? error.message : error}`);
    }
  }
}

function bound(cell: Cell): string | number | bigint | Buffer | null {
  if (typeof cell === "object" && cell !== null) return Buffer.from(String(cell.base64), "base64");
  // Whole numbers stay whole: a table that takes none but those refuses any other.
  return typeof cell === "number" && Number.isSafeInteger(cell) ? BigInt(cell) : cell;
}
