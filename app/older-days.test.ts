import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import { sum } from "d3-array";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

/**
 * What each day of the older files came to while a day was of one batch: cents by method, milligrams, and its plan. Its
 * likely hour moved by half a minute when the spread of days on a farm that knows none of its own was widened.
 */
const DAYS = [
  { day: 1, cents: [38582, 40817, 80284], milligrams: 72_900_799, likelyAt: 1781967523955, bags: 4 },
  { day: 2, cents: [43066, 45301, 82634], milligrams: 80_753_617, likelyAt: 1782568192773, bags: 5 },
  { day: 3, cents: undefined, milligrams: 0, likelyAt: 1789829066801, bags: 7 },
];

describe.each(["farm-at-version-8", "farm-at-version-11"])("%s", (name) => {
  const folder = mkdtempSync(join(tmpdir(), "pale-morning-"));
  let here: FarmContext;
  beforeAll(() => {
    const path = join(folder, "farm.sqlite");
    writeFileSync(path, gunzipSync(readFileSync(join("db", "fixtures", `${name}.sqlite.gz`))));
    here = { file: openFarmFile(path), now: () => Date.UTC(2026, 8, 17, 10, 12) };
  });
  afterAll(() => {
    here.file.close();
    rmSync(folder, { recursive: true });
  });

  test.each(DAYS)("day $day still costs, weighs, and plans what it did", ({ day: id, ...then }) => {
    const farm = here.file.farm()!;
    const day = here.file.day(id)!;
    const { lots } = settlementOf(here, farm, day);
    expect(lots).toHaveLength(1);
    expect(lots[0]!.settlement?.methods.map(({ total }) => total.value)).toEqual(then.cents);
    const dressed = here.file.pack.carcasses(id).filter(({ purpose }) => purpose !== "condemned");
    expect(sum(dressed, ({ weightMilligrams }) => weightMilligrams ?? 0)).toBe(then.milligrams);
    const { plan } = planOf(here, farm, day);
    expect(Math.round(plan.line.likelyAt.value)).toBe(then.likelyAt);
    expect(plan.chill.bags.value).toBe(then.bags);
  });
});
