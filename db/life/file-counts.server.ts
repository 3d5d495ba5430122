import type { Database } from "better-sqlite3";
import type { FileCounts } from "#core/file/file-life.ts";

const TABLES = {
  batches: "batch",
  days: "processing_day",
  packs: "pack",
  pictures: "day_picture",
  entries: "entry",
} as const;

/** Counts a file of any version: a table that it does not have yet holds nothing. */
export function countsOf(database: Database): FileCounts {
  const has = (table: string) =>
    database.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").get(table) !==
    undefined;
  const count = (table: string) =>
    has(table)
      ? (database.prepare<[], { n: number }>(`SELECT count(*) AS n FROM "${table}"`).get()?.n ?? 0)
      : 0;
  const last = has("entry")
    ? database.prepare<[], { at: number | null }>("SELECT max(at) AS at FROM entry").get()?.at
    : undefined;
  const counts = Object.fromEntries(
    Object.entries(TABLES).map(([name, table]) => [name, count(table)]),
  ) as Omit<FileCounts, "lastAt">;
  // Before packs a carcass was a row of its own.
  return {
    ...counts,
    packs: counts.packs || count("carcass"),
    ...(last !== null && last !== undefined && { lastAt: last }),
  };
}
