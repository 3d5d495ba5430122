import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { sum } from "d3-array";
import Papa from "papaparse";
import { afterAll, beforeAll, expect, test } from "vitest";
import * as dayCsv from "#app/days/settle/day-csv.ts";
import * as packsCsv from "#app/days/settle/packs-csv.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

const FIXTURES = join("db", "fixtures");
const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
let here: FarmContext;
beforeAll(() => {
  const path = join(folder, "farm.sqlite");
  writeFileSync(path, gunzipSync(readFileSync(join(FIXTURES, "farm-at-version-18.sqlite.gz"))));
  here = { file: openFarmFile(path), now: () => Date.UTC(2026, 8, 19, 13, 40) };
});
afterAll(() => {
  here.file.close();
  rmSync(folder, { recursive: true });
});

const exported = (loader: unknown): Promise<string> => {
  const asked = { context: { get: () => here }, params: { dayId: "1" } };
  return (loader as (of: typeof asked) => Response)(asked).text();
};

test("a settled day of a file from before packs is exported as it was, character for character", async () => {
  expect(await exported(dayCsv.loader)).toBe(readFileSync(join(FIXTURES, "day-1-at-version-18.csv"), "utf8"));
});

test("its packs are its birds, equal to the milligram, each with a code of its own", async () => {
  const rows = (text: string) => Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
  const packs = rows(await exported(packsCsv.loader));
  const birds = rows(await exported(dayCsv.loader));
  expect(packs).toHaveLength(birds.length);
  expect(sum(packs, ({ net_milligrams }) => Number(net_milligrams))).toBe(
    sum(birds, ({ weight_milligrams }) => Number(weight_milligrams)),
  );
  expect(new Set(packs.map(({ pack }) => pack)).size).toBe(packs.length);
  expect(packs.filter(({ product }) => product === "Whole chicken, cut up")).toHaveLength(
    birds.filter(({ purpose }) => purpose === "cut").length,
  );
});
