import { expect, test } from "vitest";
import { CARCASS_RANGE_KILOGRAMS, rangeVerdict } from "#core/packing/carcass-range.ts";
import { packTally } from "#core/packing/pack-tally.ts";

test("condemned birds are counted and left out of every weight", () => {
  const tally = packTally([
    { use: "sale", weightMilligrams: 2_000_000 },
    { use: "own", weightMilligrams: 1_800_000 },
    { use: "condemned", weightMilligrams: 2_500_000 },
    { use: "condemned", weightMilligrams: undefined },
    { use: "cut", weightMilligrams: 2_200_000 },
  ]);
  expect(tally).toMatchObject({
    dressedCount: 3,
    condemnedCount: 2,
    totalMilligrams: 6_000_000,
    meanMilligrams: 2_000_000,
    smallestMilligrams: 1_800_000,
    largestMilligrams: 2_200_000,
  });
});

test("nothing packed has no mean, rather than a mean of 0", () => {
  expect(packTally([]).meanMilligrams).toBeUndefined();
});

test.each([
  [0, "zero"],
  [0.05, "too-light"],
  [0.1, "plausible"],
  [10, "plausible"],
  [20.87, "too-heavy"],
] as const)("%d kg dressed is %s", (kilograms, verdict) => {
  expect(rangeVerdict(kilograms, CARCASS_RANGE_KILOGRAMS)).toBe(verdict);
});
