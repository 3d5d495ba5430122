import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { text } from "node:stream/consumers";
import { gunzipSync } from "node:zlib";
import BetterSqlite3 from "better-sqlite3";
import Papa from "papaparse";
import { afterAll, expect, test } from "vitest";
import { openPromise } from "yauzl";
import { MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { writeFarmCsv } from "#db/life/farm-csv.server.ts";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-csv-"));
afterAll(() => rmSync(folder, { recursive: true }));
const path = join(folder, "farm.sqlite");

/** Each file of a zip, read as CSV, by its name. */
async function tablesIn(zip: string): Promise<Map<string, Record<string, string>[]>> {
  const tables = new Map<string, Record<string, string>[]>();
  const file = await openPromise(zip);
  for await (const entry of file.eachEntry()) {
    const said = await text(await file.openReadStreamPromise(entry));
    tables.set(entry.fileName, Papa.parse<Record<string, string>>(said.trim(), { header: true }).data);
  }
  return tables;
}

test("every row leaves in the farm's units, with its price on the basis it was set, and no secret", async () => {
  writeFileSync(path, gunzipSync(readFileSync("db/fixtures/farm-at-version-18.sqlite.gz")));
  const farm = openFarmFile(path);
  farm.access.joinAsOwner(
    { entryId: "joined-of-tests", at: 1 },
    { name: "A phone of ours", secretHash: Buffer.alloc(32, 7) },
  );
  farm.close();
  await writeFarmCsv(path, join(folder, "farm.zip"));
  const tables = await tablesIn(join(folder, "farm.zip"));
  const database = new BetterSqlite3(path, { readonly: true });
  const packs = database
    .prepare<[], { weight_milligrams: number | null; price_cents: number | null; price_unit: string }>(
      "SELECT weight_milligrams, price_cents, price_unit FROM pack_version ORDER BY id",
    )
    .all();
  const shown = tables.get("pack_version.csv")!;
  expect(shown).toHaveLength(packs.length);
  for (const [
    index,
    { weight_milligrams: weight, price_cents: cents, price_unit: unit },
  ] of packs.entries()) {
    const row = shown[index]!;
    expect(Number(row.weight_pounds || NaN)).toBeCloseTo(
      weight === null ? NaN : weight / MILLIGRAMS_PER_POUND,
      3,
    );
    expect([row.price, row.price_unit]).toEqual([cents === null ? "" : String(cents / 100), unit]);
  }
  const { count } = database.prepare<[], { count: number }>("SELECT count(*) AS count FROM day_fact").get()!;
  expect(tables.get("day_fact.csv")).toHaveLength(count);
  expect(tables.get("day_fact.csv")![0]!.at).toMatch(/^\d{4}-\d\d-\d\d \d\d:\d\d$/);
  database.close();
  for (const secret of ["passphrase.csv", "invitation.csv", "joined_device.csv"])
    expect(tables.has(secret)).toBe(false);
  expect(JSON.stringify([...tables]).includes("A phone of ours")).toBe(false);
});
