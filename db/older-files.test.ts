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

/** The migration that gave days their lots: what a day said of its birds moved to its only lot. */
const LOTS = 12;

/** Tables whose rows are read with those of the lot that some of their columns moved to. */
function withLots(tables: Map<string, Row[]>): Map<string, Row[]> {
  const lots = tables.get("day_lot")!;
  const ofDay = (dayId: unknown) => lots.find((lot) => lot.day_id === dayId)!;
  const rowOfLot = (table: string, lotId: unknown) => tables.get(table)!.find((row) => row.lot_id === lotId);
  const joined = (table: string, more: (row: Row) => Row | undefined) =>
    [table, tables.get(table)!.map((row) => ({ ...more(row), ...row }))] as const;
  const currentOf = (packId: unknown) => tables.get("pack_version")!.find((row) => row.pack_id === packId)!;
  const carcassOf = ({ pack_id, ...row }: Row): Row => ({ ...row, carcass_id: pack_id });
  return new Map([
    ...tables,
    // What happened on a day says more since; it is the same rows.
    ["day_event", tables.get("day_fact")!],
    // Whose birds are processed here are among those who take birds, and a product's price has a day from which it counts.
    ["bird_owner", tables.get("customer")!],
    joined("product", ({ id }) => ({
      price_cents: null,
      price_unit: "pack",
      ...tables
        .get("product_price")!
        .find((price) => price.product_id === id && price.from_day === "2000-01-01"),
    })),
    // Carcasses became packs under their own numbers.
    ["carcass", tables.get("pack")!.map((row) => ({ ...currentOf(row.id), ...row }))],
    ["carcass_out", tables.get("pack_out")!.map(carcassOf)],
    [
      "stored_carcass",
      tables
        .get("pack_now")!
        .filter((row) => row.is_stored === 1)
        .map(carcassOf),
    ],
    ["carcass_mark", tables.get("pack_mark")!.map(carcassOf)],
    joined("processing_day", ({ id }) => ofDay(id)),
    joined("kept_plan", ({ day_id }) => rowOfLot("kept_lot", ofDay(day_id).id)),
    joined("day_settlement", ({ day_id }) => rowOfLot("settled_lot", ofDay(day_id).id)),
  ]);
}

function tables(database: Database): Map<string, Row[]> {
  const names = database
    .prepare<[], { name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .all();
  return new Map(names.map(({ name }) => [name, database.prepare<[], Row>(`SELECT * FROM "${name}"`).all()]));
}

const isTakenBack = (of: Map<string, Row[]>, entryId: unknown): boolean =>
  of.get("entry_taken_back")!.some((row) => row.entry_id === entryId);

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
    const after = withLots(tables(opened));
    opened.close();
    expect([...before.values()].flat().length).toBeGreaterThan(100);
    for (const [table, rows] of before) {
      const kept = after.get(table)!;
      expect(kept.length, table).toBe(rows.length);
      for (const [index, row] of rows.entries()) expect(kept[index], table).toMatchObject(meant(row));
    }
  });

  test("has each day as a day of one lot, and each bird in it", () => {
    if (Number(/(\d+)\.sqlite/.exec(name)![1]) >= LOTS) return;
    for (const { id, lots } of file.days()) {
      expect(lots).toHaveLength(1);
      expect(file.pack.carcasses(id).every(({ lotId }) => lotId === lots[0]!.id)).toBe(true);
      const old = before.get("processing_day")!.find((day) => day.id === id)!;
      expect(lots[0]).toMatchObject({
        batchId: old.batch_id,
        birds: old.bird_count,
        cutUp: old.cut_up_count,
      });
    }
  });

  test("has each carcass as a pack of one bird, equal to the milligram", () => {
    const birds = before.get("carcass")!.filter(({ entry_id }) => !isTakenBack(before, entry_id));
    const packs = file.days().flatMap(({ id }) => file.pack.packs(id));
    const total = (rows: readonly (number | undefined)[]) =>
      rows.reduce<number>((sum, one) => sum + (one ?? 0), 0);
    expect(birds.length).toBeGreaterThan(20);
    expect(packs).toHaveLength(birds.length);
    expect(packs.every(({ pieces, birdNumber }) => pieces === 1 && birdNumber !== undefined)).toBe(true);
    expect(total(packs.map(({ weightMilligrams }) => weightMilligrams))).toBe(
      total(birds.map((row) => (row.weight_milligrams as number | null) ?? 0)),
    );
    expect(file.freezers.stored()).toHaveLength(before.get("stored_carcass")!.length);
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
