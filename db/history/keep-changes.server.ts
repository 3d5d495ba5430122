import type { Database } from "better-sqlite3";

/** Tables whose rows are changed where they stand. All others only grow. */
const CHANGED_TABLES = [
  "farm",
  "season_setting",
  "batch",
  "storage_place",
  "person",
  "product",
  "customer",
  "processing_day",
  "day_lot",
] as const;

export type ChangedTable = (typeof CHANGED_TABLES)[number];

/** Columns that say nothing of their own. */
const NOT_TOLD: ReadonlySet<string> = new Set(["id", "entry_id", "revision"]);

/**
 * Has this connection keep what a row was before each change. The triggers are the connection's own, made from the tables as
 * they are now, so that a column that a later version adds is kept too. Call it once the file is up to date.
 *
 * The connection must know the functions visiting_device and present_moment.
 */
export function keepChanges(database: Database): void {
  for (const table of CHANGED_TABLES) {
    const columns = (database.pragma(`table_info("${table}")`) as { name: string }[])
      .map(({ name }) => name)
      .filter((name) => !NOT_TOLD.has(name));
    const row = (of: "OLD" | "NEW") =>
      `json_object(${columns.map((name) => `'${name}', ${of}."${name}"`).join()})`;
    database.exec(`
      CREATE TEMP TRIGGER "keep_${table}" AFTER UPDATE ON main."${table}"
      WHEN ${columns.map((name) => `OLD."${name}" IS NOT NEW."${name}"`).join(" OR ")}
      BEGIN
        INSERT INTO row_change (changed_table, row_id, before, after, at, device_id)
        VALUES ('${table}', NEW.id, ${row("OLD")}, ${row("NEW")}, present_moment(), visiting_device());
      END`);
  }
}
