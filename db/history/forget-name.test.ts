import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { afterAll, expect, test } from "vitest";
import { openFarmFile } from "#db/farm-file.server.ts";
import { forgetName } from "#db/history/forget-name.server.ts";
import { exportedFarm } from "#db/life/farm-json.server.ts";

const folder = mkdtempSync(join(tmpdir(), "pale-morning-forget-"));
afterAll(() => rmSync(folder, { recursive: true }));
const path = join(folder, "farm.sqlite");
const exported = () => [...exportedFarm(path)].join("");

test("a name is gone from facts, notes, and history, from the disk too, and nothing else has changed", () => {
  writeFileSync(path, gunzipSync(readFileSync("db/fixtures/farm-at-version-18.sqlite.gz")));
  const file = openFarmFile(path);
  const person = file.people.people().find(({ name }) => name === "Ines")!;
  file.people.changePerson({ entryId: "change-of-tests", at: 1 }, { ...person, handsPercent: 90 });
  const note = "Ines (and Inessa) saw it; ask Ines.";
  file.run.record({ entryId: "note-of-tests", at: 2 }, 3, { kind: "note", at: 2, note, person: "Ines" });
  file.close();
  const before = exported();
  expect(before).toMatch(/"name":"Ines"/);

  expect(forgetName(path, "Ines", "Person 3")).toBeGreaterThan(4);
  const after = exported();
  expect(after).toBe(before.replace(/(?<![\p{L}\p{N}])Ines(?![\p{L}\p{N}])/gu, "Person 3"));
  expect(after).toContain("Person 3 (and Inessa) saw it; ask Person 3.");
  expect(after).toContain("row_change");
  const onDisk = readFileSync(path).toString("latin1");
  expect(onDisk.match(/(?<![A-Za-z])Ines(?![a-z])/g)).toBeNull();

  const again = openFarmFile(path);
  expect(again.people.people().find(({ id }) => id === person.id)!.name).toBe("Person 3");
  expect(() =>
    again.run.record({ entryId: "note-of-tests", at: 2 }, 3, { kind: "note", at: 2 }),
  ).not.toThrow();
  again.close();
  expect(forgetName(path, "Ines", "Person 3")).toBe(0);
});
