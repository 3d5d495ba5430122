import { createWriteStream } from "node:fs";
import { pipeline } from "node:stream/promises";
import BetterSqlite3, { type Database } from "better-sqlite3";
import Papa from "papaparse";
import { ZipFile } from "yazl";
import { localClock, localDayOf } from "#core/calendar/farm-time.ts";
import { inFarmUnits } from "#core/file/in-farm-units.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import { exportedColumns, exportedTables, selectOfExport } from "#db/life/farm-json.server.ts";

/** Moments are told by the farm's clock. */
const IS_MOMENT = /(?:^|_)at$/;

type Row = Record<string, unknown>;

/**
 * Packs the whole farm as CSV into a zip, a file for each table that holds anything: weights, temperatures, money, and clocks as the farm
 * reads them, a price on the basis it was set. What is kept of a secret, and pictures, are left out.
 *
 * @param path of the data file; it may be open and written meanwhile: what is told is as it was at one moment
 */
export async function writeFarmCsv(path: string, to: string): Promise<void> {
  const database = new BetterSqlite3(path, { readonly: true });
  try {
    database.exec("BEGIN");
    const farm = database
      .prepare<[], { unit_system: UnitSystem; time_zone: string }>("SELECT unit_system, time_zone FROM farm")
      .get();
    const zip = new ZipFile();
    for (const table of exportedTables(database)) {
      const rows = database.prepare<[], Row>(selectOfExport(database, table)).all();
      if (rows.length === 0) continue;
      const shown = columnsOf(database, table, farm ?? { unit_system: "us", time_zone: "UTC" });
      const text = Papa.unparse(
        {
          fields: shown.map(({ head }) => head),
          data: rows.map((row) => shown.map(({ cell }) => cell(row))),
        },
        { escapeFormulae: true },
      );
      zip.addBuffer(Buffer.from(`${text}\r\n`), `${table}.csv`);
    }
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(to));
  } finally {
    database.close();
  }
}

interface ShownColumn {
  readonly head: string;
  readonly cell: (row: Row) => string | number;
}

function columnsOf(
  database: Database,
  table: string,
  farm: { readonly unit_system: UnitSystem; readonly time_zone: string },
): ShownColumn[] {
  return exportedColumns(database, table)
    .filter(({ type }) => type !== "BLOB")
    .map(({ name, type }) => {
      if (type === "INTEGER" && IS_MOMENT.test(name))
        return { head: name, cell: momentCell(name, farm.time_zone) };
      const converted = type === "INTEGER" ? inFarmUnits(name, farm.unit_system) : undefined;
      return {
        head: converted?.column ?? name,
        cell: (row) => {
          const value = row[name];
          if (value === null || value === undefined) return "";
          return typeof value === "number" ? (converted?.value(value) ?? value) : String(value);
        },
      };
    });
}

const momentCell = (name: string, timeZone: string) => (row: Row) => {
  const at = row[name];
  return typeof at === "number" ? `${localDayOf(at, timeZone)} ${localClock(at, timeZone)}` : "";
};
