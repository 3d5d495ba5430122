import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import BetterSqlite3, { type Database } from "better-sqlite3";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";

type Row = Record<string, unknown>;

const FOLDER = join("db", "fixtures");
/** The migration that split pins, which were feet and pins in one: the one change of a column that is meant. */
const SPLIT_PINS = 9;
const splitPins = (row: Row): Row =>
  typeof row.stations === "string"
    ? {
        ...row,
        stations: row.stations
          .split(" ")
          .flatMap((one) => (one === "pins" ? ["feet", one] : [one]))
          .join(" "),
      }
    : row;

function tables(database: Database): Map<string, Row[]> {
  const names = database
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all();
  return new Map(names.map(({ name }) => [name, database.prepare<[], Row>(`SELECT * FROM "${name}"`).all()]));
}

describe.each(readdirSync(FOLDER).filter((name) => name.endsWith(".sqlite.gz")))("%s", (name) => {
  const isOlderThanSplit = Number(/(\d+)\.sqlite/.exec(name)![1]) < SPLIT_PINS;
  const meant = isOlderThanSplit ? splitPins : (row: Row): Row => row;
  let folder: string;
  let before: Map<string, Row[]>;
  let file: FarmFile;
  let path: string;

  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
    path = join(folder, "farm.sqlite");
    writeFileSync(path, gunzipSync(readFileSync(join(FOLDER, name))));
    const older = new BetterSqlite3(path);
    before = tables(older);
    older.close();
    file = openFarmFile(path);
  });
  afterAll(() => {
    file.close();
    rmSync(folder, { recursive: true });
  });

  test("opens with every row of every table as it was", () => {
    const opened = new BetterSqlite3(path, { readonly: true });
    const after = tables(opened);
    opened.close();
    expect([...before.values()].flat().length).toBeGreaterThan(100);
    for (const [table, rows] of before) {
      const kept = after.get(table)!;
      expect(kept.length, table).toBe(rows.length);
      for (const [index, row] of rows.entries()) expect(kept[index], table).toMatchObject(meant(row));
    }
  });

  test("has its days with their crews, and its people, as the code reads them", () => {
    const crewed = file.days().filter(({ crew }) => crew.length > 0);
    expect(crewed.length).toBeGreaterThan(0);
    for (const { crew } of crewed)
      for (const { stations } of crew)
        if (isOlderThanSplit) expect(stations.includes("feet")).toBe(stations.includes("pins"));
    for (const person of file.people.people()) {
      expect(typeof person.usesKnives).toBe("boolean");
      expect(Array.isArray(person.besideAdult)).toBe(true);
    }
  });
});
