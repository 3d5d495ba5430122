import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { addDays } from "#core/calendar/local-day.ts";
import { birdWorth, CUT_WORK, daysFrom } from "#core/day/season/bird-worth.ts";
import type { GroupFacts, SeasonTerms } from "#core/day/season/season-facts.ts";
import { flockPath } from "#core/growth/flock-path.ts";
import { usualTemperatures } from "#core/sky/usual-weather.ts";

const own = (value: number) => ({ value, provenance: "farm-setting" as const });
const TODAY = "2026-09-17";
const LOT: GroupFacts = {
  batchId: 1,
  name: "White",
  birds: 30,
  flock: { kind: "fast", maleShare: 0.5, hatchedOn: addDays(TODAY, -49), weighings: [] },
  feedCentsPerKilogram: own(70),
};
const TERMS = {
  wholeCentsPerKilogram: own(1000),
  cutCentsPerKilogram: own(1300),
  oddSizeOffPercent: own(20),
  centsAnHour: own(0),
} as SeasonTerms;
const path = flockPath(LOT.flock);
type Sizes = Parameters<typeof birdWorth>[4]["sizes"];
const worthOn = (day: string, { terms = TERMS, sizes = [] as Sizes, handsFactor = 1 } = {}) =>
  birdWorth(TODAY, day, LOT, path, { terms, sizes, handsFactor });

describe("what a bird is worth", () => {
  test("today is its dressed weight at its price, and no feed", () => {
    // growth.wait of the worked cases: a fast bird of 49 days dresses 1.8727459 kg.
    const worth = worthOn(TODAY);
    expect(worth.dressedKilograms).toBeCloseTo(1.8727459, 6);
    expect(worth.worthCents.whole).toBeCloseTo(1872.7459, 3);
    expect(worth).toMatchObject({ survival: 1, feedKilograms: 0, wantedShare: expect.closeTo(1, 9) });
  });

  test("a week later is what the worked case of waiting says: 2.956 more a bird, but for ten cents of other cost", () => {
    // growth.wait, fast, 49 to 56 d: feed 1.4561569 kg at 0.70, 0.40753563 kg more at 10.00, other 0.10: 2.9560464.
    const [now, later] = [worthOn(TODAY), worthOn(addDays(TODAY, 7))];
    expect(later.survival).toBeCloseTo(0.99, 12);
    expect(later.feedKilograms).toBeCloseTo(1.4561569, 5);
    expect(later.worthCents.whole - now.worthCents.whole).toBeCloseTo(295.60464 + 10, 2);
  });

  test("is less for sizes that nobody wants, and sizes that overlap count once", () => {
    const size = (least: number | undefined, most: number | undefined) => ({
      who: "x",
      birds: 10,
      leastKilograms: least,
      mostKilograms: most,
    });
    const worth = (...sizes: Sizes) => worthOn(TODAY, { sizes }).worthCents.whole;
    const all = worth();
    expect(worth(size(undefined, undefined))).toBeCloseTo(all, 6);
    expect(worth(size(5, 6))).toBeCloseTo(all * 0.8, 3);
    expect(worth(size(1.5, 2), size(1.8, 2.2))).toBeCloseTo(worth(size(1.5, 2.2)), 6);
    expect(worth(size(1.5, 2))).toBeLessThan(worth(size(1.5, 2.2)));
  });

  test("pays for hands by the hour, more for birds that are cut up", () => {
    const terms = { ...TERMS, centsAnHour: own(1200) };
    const { handsCents } = worthOn(TODAY, { terms });
    // kill 0.6, scald 1.2, pluck 0.7, pins 2, gut 4, rinse 1, giblets 1.2 and packing 3.5 make 14.2 minutes.
    expect(handsCents.whole).toBeCloseTo((14.2 / 60) * 1200, 6);
    expect(handsCents.cut).toBeCloseTo((14.8 / 60) * 1200, 6);
    expect(CUT_WORK).toBeCloseTo(14.8 / 14.2, 12);
    expect(worthOn(TODAY, { terms, handsFactor: 1.8 }).handsCents.whole).toBeCloseTo(
      handsCents.whole * 1.8,
      6,
    );
  });

  test("never has fewer birds fed or more of them living as time goes by", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 13 }), (days) => {
        const [one, next] = [worthOn(addDays(TODAY, days)), worthOn(addDays(TODAY, days + 1))];
        expect(next.survival).toBeLessThan(one.survival);
        expect(next.feedKilograms).toBeGreaterThan(one.feedKilograms);
        expect(next.dressedKilograms).toBeGreaterThan(one.dressedKilograms);
      }),
    );
  });
});

test("days follow each other over the end of a month and of a year", () => {
  expect(daysFrom("2026-12-30", "2027-01-02")).toEqual([
    "2026-12-30",
    "2026-12-31",
    "2027-01-01",
    "2027-01-02",
  ]);
  expect(daysFrom("2026-12-30", "2026-12-29")).toEqual([]);
});

test("the usual weather swings more the further from the equator, up to a bound", () => {
  const range = (latitude: number) => {
    const means = Array.from(
      { length: 365 },
      (_, day) => usualTemperatures(latitude, 20_600 + day).meanCelsius,
    );
    return Math.max(...means) - Math.min(...means);
  };
  expect(range(45)).toBeCloseTo(2 * 0.26 * 45, 1);
  expect(range(20)).toBeLessThan(range(45));
  expect(range(80)).toBeCloseTo(32, 1);
});
