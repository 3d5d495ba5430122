import { expect, test } from "vitest";
import { STATIONS, stationRow } from "#core/processing-line/line-station.ts";
import { isGrantable, NO_RULES, needsAdultBeside, ruleAgainst } from "#core/safety/person-rules.ts";

const open = (rules: typeof NO_RULES) => STATIONS.filter((station) => !ruleAgainst(rules, station));

test("who is under 16, or uses no knives, is never given the feet; pins, rinse, pack and seal remain", () => {
  expect(open({ ...NO_RULES, age: 15 })).toEqual(["pins", "rinse", "pack", "seal"]);
  expect(open({ ...NO_RULES, usesKnives: false })).toEqual([
    "scald",
    "pluck",
    "pins",
    "rinse",
    "pack",
    "seal",
  ]);
  expect(ruleAgainst({ ...NO_RULES, age: 15 }, "feet")).toBe("too-young");
  expect(open({ ...NO_RULES, age: 16 })).toEqual(STATIONS);
  expect(open({ ...NO_RULES, scalds: false, lifts: false })).not.toContain("scald");
});

test("a grant opens the feet and the giblets to a young person, and nothing else whatever it names", () => {
  const granted = { ...NO_RULES, usesKnives: false, age: 15, besideAdult: STATIONS };
  expect(STATIONS.filter(isGrantable)).toEqual(["feet", "giblets"]);
  expect(open(granted)).toEqual(["feet", "pins", "rinse", "giblets", "pack", "seal"]);
  expect(needsAdultBeside(granted, "feet")).toBe(true);
  expect(needsAdultBeside(granted, "pins")).toBe(false);
  // Grown up, the grant is over: the rule about knives stands.
  expect(ruleAgainst({ ...granted, age: 16 }, "feet")).toBe("no-knives");
});

test("no station with hot water, a machine, or the killing knife can be granted", () => {
  for (const station of STATIONS.filter(isGrantable)) {
    const { isHot, hasMachine } = stationRow(station).rules;
    expect([isHot, hasMachine, station === "cones"]).toEqual([false, false, false]);
  }
});
