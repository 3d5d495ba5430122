import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { MILLIGRAMS_PER_OUNCE, milligramsFromPounds } from "#core/quantity/conversion.ts";
import { readWeight } from "#core/quantity/read-weight.ts";

const ounces = (count: number) => Math.round(count * MILLIGRAMS_PER_OUNCE);

describe("a weight is read in any form people say it", () => {
  test.each([
    ["4 9.2", ounces(73.2)],
    ["4lb9.2oz", ounces(73.2)],
    ["4 lb, 9.2 oz.", ounces(73.2)],
    ["4-9 1/4", ounces(73.25)],
    ["4.9.2", ounces(73.2)],
    ["4.9.", ounces(73)],
    ["4 9 1/4", ounces(73.25)],
    ["4 9¼", ounces(73.25)],
    ["4-9", ounces(73)],
    ["4#9", ounces(73)],
    ["4.58", milligramsFromPounds(4.58)],
    ["4,58", milligramsFromPounds(4.58)],
    ["4 1/2", milligramsFromPounds(4.5)],
    ["4½", milligramsFromPounds(4.5)],
    ["4 lb", milligramsFromPounds(4)],
    ["73.2 oz", ounces(73.2)],
    ["2080g", 2_080_000],
    ["2,080 g", 2_080_000],
    ["2 080", 2_080_000],
    ["2080", 2_080_000],
    ["2,08 kg", 2_080_000],
    ["2.08KG", 2_080_000],
    ["  .9 kg ", 900_000],
    ["0", 0],
  ])("%s on a farm that thinks in pounds", (text, weight) => {
    expect(readWeight(text, "us")).toEqual({ readable: true, weight });
  });

  test("a bare number is kilograms on a farm that thinks in kilograms", () => {
    expect(readWeight("2.08", "metric")).toEqual({ readable: true, weight: 2_080_000 });
    expect(readWeight("4 9.2", "metric")).toEqual({ readable: true, weight: ounces(73.2) });
  });

  test.each([
    ["", "empty"],
    ["  ", "empty"],
    ["-4", "negative"],
    ["4 16", "ounces-past-fifteen"],
    ["4 lb 17 oz", "ounces-past-fifteen"],
    ["heavy", "not-a-weight"],
    ["4..5", "not-a-weight"],
    ["4 1/0", "not-a-weight"],
    ["1e9 kg", "not-a-weight"],
    ["99999999999 kg", "not-a-weight"],
  ])("%j is refused as %s", (text, reason) => {
    expect(readWeight(text, "us")).toEqual({ readable: false, reason });
  });
});

test("pounds and hundredths of an ounce are stored to the milligram and read the same in every spelling", () => {
  const poundsAndHundredths = [fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 1599 })] as const;
  fc.assert(
    fc.property(...poundsAndHundredths, (pounds, hundredths) => {
      const weight = ounces(pounds * 16 + hundredths / 100);
      const part = String(hundredths / 100);
      for (const text of [
        `${pounds} ${part}`,
        `${pounds}lb${part}oz`,
        `${pounds}-${part}`,
        `${pounds} lb ${part}`,
      ]) {
        expect(readWeight(text, "us")).toEqual({ readable: true, weight });
      }
    }),
  );
});
