import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import BetterSqlite3 from "better-sqlite3";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { openFarmFile } from "#db/farm-file.server.ts";
import { exportedFarm, ImportFault, importFarm } from "#db/life/farm-json.server.ts";
import { newestVersion } from "#db/open-file.server.ts";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "pale-morning-json-"));
});
afterEach(() => rmSync(folder, { recursive: true }));
const at = (name: string) => join(folder, name);
const exported = (path: string) => [...exportedFarm(path)].join("");

function writeFixture(version: number): string {
  const path = at(`${version}.sqlite`);
  writeFileSync(path, gunzipSync(readFileSync(`db/fixtures/farm-at-version-${version}.sqlite.gz`)));
  openFarmFile(path).close();
  return path;
}

test.each([8, 11, 12, 18])(
  "the import of an export is the same farm to the byte, from version %d on",
  (version) => {
    const text = exported(writeFixture(version));
    importFarm(text, at("imported.sqlite"));
    expect(exported(at("imported.sqlite"))).toBe(text);
    const file = openFarmFile(at("imported.sqlite"));
    expect(file.farm()?.name).toBeTruthy();
    file.close();
    // Opened and closed, and what tables count by themselves was not counted twice.
    expect(exported(at("imported.sqlite"))).toBe(text);
  },
);

test("an export of an older version is brought up to date when its file is opened", () => {
  const path = at("old.sqlite");
  writeFileSync(path, gunzipSync(readFileSync("db/fixtures/farm-at-version-18.sqlite.gz")));
  const old = new BetterSqlite3(path, { readonly: true });
  const farm = old.prepare("SELECT * FROM farm").all();
  old.close();
  importFarm(
    JSON.stringify({ format: "pale-morning-farm", version: 18, tables: { farm } }),
    at("imported.sqlite"),
  );
  const file = openFarmFile(at("imported.sqlite"));
  expect(file.farm()?.name).toBe((farm[0] as { name: string }).name);
  file.close();
  expect(JSON.parse(exported(at("imported.sqlite"))).version).toBe(newestVersion());
});

test("no secret leaves the file, nor what names a device that has one", () => {
  let visiting: number | undefined;
  const file = openFarmFile(at("farm.sqlite"), { visiting: () => visiting });
  const secret = (byte: number) => Buffer.alloc(32, byte);
  file.access.joinAsOwner({ entryId: "joined-of-tests", at: 1 }, { name: "Maren", secretHash: secret(7) });
  file.access.setPassphrase(
    { entryId: "passphrase-1", at: 1 },
    { salt: Buffer.alloc(16, 8), hash: secret(9) },
  );
  visiting = 1;
  file.catalog.addContainer({ entryId: "bowl-of-tests", at: 2 }, { name: "Bowl", tareMilligrams: 1000 });
  file.close();
  const text = exported(at("farm.sqlite"));
  expect(text).toContain("bowl-of-tests");
  for (const word of ["Maren", "joined", "passphrase", "device_id", secret(7).toString("base64")])
    expect(text).not.toContain(word);
  importFarm(text, at("imported.sqlite"));
  expect(exported(at("imported.sqlite"))).toBe(text);
});

describe("what is no export is refused in words, with its table and row", () => {
  test.each([
    ["{", /can't be read as JSON/],
    ["[]", /not an export/],
    ['{"format":"pale-morning-farm","version":9999,"tables":{}}', /newer version/],
    ['{"format":"pale-morning-farm","version":"x","tables":{}}', /names no version/],
    ['{"format":"pale-morning-farm","version":25,"tables":{"x":[]}}', /no table x/],
    ['{"format":"pale-morning-farm","version":25,"tables":{"passphrase":[]}}', /no table passphrase/],
    ['{"format":"pale-morning-farm","version":25,"tables":{"batch":[7]}}', /Table batch, row 1 is no row/],
    [
      '{"format":"pale-morning-farm","version":25,"tables":{"batch":[{"y":1}]}}',
      /Table batch, row 1.*column y/,
    ],
    ['{"format":"pale-morning-farm","version":25,"tables":{"batch":[{"id":1.5}]}}', /Table batch, row 1/],
    [
      '{"format":"pale-morning-farm","version":25,"tables":{"entry_taken_back":[{"entry_id":"of-nothing","at":1}]}}',
      /entry_taken_back names a row of entry/,
    ],
  ])("%s", (text, words) => {
    expect(() => importFarm(text, at("imported.sqlite"))).toThrow(ImportFault);
    rmSync(at("imported.sqlite"), { force: true });
    expect(() => importFarm(text, at("imported.sqlite"))).toThrow(words);
  });
});
