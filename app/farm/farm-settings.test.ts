import fc from "fast-check";
import { expect, test } from "vitest";
import { farmSettings, farmSettingsForm } from "#app/farm/farm-settings.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

const farm = fc.record({
  airMillicelsius: fc.option(fc.integer({ min: -30_000, max: 50_000 }), { nil: undefined }),
  tapMillicelsius: fc.option(fc.integer({ min: 0, max: 40_000 }), { nil: undefined }),
  tankMilliliters: fc.option(fc.integer({ min: 1000, max: 20_000_000 }), { nil: undefined }),
  iceBagMilligrams: fc.option(fc.integer({ min: 100_000, max: 100_000_000 }), { nil: undefined }),
  jugCount: fc.option(fc.integer({ min: 0, max: 1000 }), { nil: undefined }),
  jugMilliliters: fc.option(fc.integer({ min: 100, max: 30_000 }), { nil: undefined }),
  madeIceMilligrams: fc.option(fc.integer({ min: 100_000, max: 100_000_000 }), { nil: undefined }),
  scalderMilliliters: fc.option(fc.integer({ min: 1000, max: 5_000_000 }), { nil: undefined }),
  hourRateCents: fc.option(fc.integer({ min: 0, max: 100_000 }), { nil: undefined }),
  unitSystem: fc.constantFrom("us" as const, "metric" as const),
});

const REST = {
  revision: 1,
  name: "Low Gate",
  latitudeMicrodegrees: 43_900_001,
  longitudeMicrodegrees: -71_600_000,
  timeZone: "America/New_York",
  locale: "en-US",
  currency: "USD",
  practice: "few",
  arePensLit: true,
  pluckAtOnceCount: 2,
  birdsAYearCount: undefined,
  usesOwnDays: true,
  tankWall: "thick",
  chillMethod: "still",
  scalderWatts: 2000,
  scalderHeat: "electric",
  isScalderLidded: false,
  isScalderInsulated: true,
  scaldAtOnceCount: 1,
  scalderFillMillicelsius: undefined,
  circuitVolts: 120,
  breakerAmps: 15,
  altitudeMeters: 310,
  ruleForOthers: "Own birds only.",
  dayCostSharedBy: "work",
  crateBirdsCount: 8,
  bleachBasisPoints: 825,
} as const;

const UNSAID = {
  unitSystem: "us" as const,
  airMillicelsius: undefined,
  tapMillicelsius: undefined,
  tankMilliliters: undefined,
  iceBagMilligrams: undefined,
  jugCount: undefined,
  jugMilliliters: undefined,
  madeIceMilligrams: undefined,
  scalderMilliliters: undefined,
  hourRateCents: undefined,
};

test("opening the farm settings and saving it moves nothing that is stored, in either system of units", () => {
  fc.assert(
    fc.property(farm, (changing) => {
      const current: Farm = { ...REST, ...changing };
      const { revision, ...settings } = current;
      expect(revision).toBe(1);
      expect(farmSettingsForm(current.unitSystem).parse(farmSettings(current))).toEqual(settings);
    }),
  );
});

test.each([
  ["us", "scalder", "60 l"],
  ["us", "scalder", "20 gal"],
  ["us", "tank", "120.5 gal"],
  ["metric", "scalder", "20 gal"],
  ["metric", "tank", "400 l"],
  ["us", "iceBag", "10 kg"],
  ["us", "air", "64.4 °F"],
] as const)("on a farm of %s units %s reads back as %s", (unitSystem, field, typed) => {
  const current = farmSettings({ ...REST, ...UNSAID, unitSystem });
  const settings = farmSettingsForm(unitSystem).parse({ ...current, [field]: typed });
  expect(farmSettings({ ...settings, revision: 1 })[field]).toBe(typed);
});

test("a format that this machine does not know is asked about", () => {
  for (const locale of ["", "english", "xx-XX-XX-XX", "e".repeat(4000)]) {
    const read = farmSettingsForm("us").safeParse({ ...farmSettings({ ...REST, ...UNSAID }), locale });
    expect(read.error?.issues.map(({ path, message }) => [path[0], message])).toContainEqual([
      "locale",
      locale.length > 35 ? expect.any(String) : "Choose a format from the list",
    ]);
  }
});

test("volts without a breaker is asked about beside the empty box", () => {
  const typed = {
    ...farmSettings({
      ...REST,
      ...UNSAID,
    }),
    breakerAmps: "",
  };
  const { error } = farmSettingsForm("us").safeParse(typed);
  expect(error?.issues).toMatchObject([
    { path: ["breakerAmps"], message: "Enter both volts and breaker, or leave both blank" },
  ]);
});
