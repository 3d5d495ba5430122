import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { showFor } from "#app/words/show.ts";
import { MILLIGRAMS_PER_OUNCE } from "#core/quantity/conversion.ts";
import { readWeight } from "#core/quantity/read-weight.ts";

const us = showFor({ unitSystem: "us", currency: "USD", timeZone: "America/New_York", locale: "en-US" });
const metric = showFor({ unitSystem: "metric", currency: "EUR", timeZone: "Europe/Oslo", locale: "en-GB" });

test("what was typed to a hundredth of an ounce or to a gram is shown exactly, and reads back to the same milligram", () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 30_000 }), (hundredths) => {
      const stored = Math.round((hundredths / 100) * MILLIGRAMS_PER_OUNCE);
      expect(readWeight(us.exactBird(stored), "us")).toEqual({ readable: true, weight: stored });
      const grams = hundredths * 1000;
      expect(readWeight(metric.exactBird(grams), "metric")).toEqual({ readable: true, weight: grams });
    }),
  );
});

describe("quantities in the farm's own words", () => {
  test.each([
    [us.bird(2_075_185), "4 lb 9.2 oz"],
    [us.bird(Math.round(79.96 * MILLIGRAMS_PER_OUNCE)), "5 lb 0 oz"],
    [metric.bird(2_075_185), "2.08 kg"],
    [us.value(60, "°C"), "140 °F"],
    [metric.value(60, "°C"), "60 °C"],
    [us.value(170, "minutes"), "2 h 50"],
    [us.value(59.6, "minutes"), "1 h"],
    [us.value(72, "hours"), "72 h"],
    [us.value(100, "hours"), "4 days 4 h"],
    [us.value(119.9, "hours"), "5 days"],
    [us.value(1964.65, "hours"), "82 days"],
    [us.value(9.166667, "hours"), "9 h 10"],
    [us.value(54, "seconds"), "54 s"],
    [us.value(117, "seconds"), "1 min 57 s"],
    [us.value(1000, "cents-per-kg"), "$4.54 / lb"],
    [metric.value(1000, "cents-per-kg"), "€10.00 / kg"],
    [us.value(Date.UTC(2026, 8, 19, 2, 30), "instant"), "Fri 10:30 PM"],
    [us.longDay("2026-09-19"), "Saturday, September 19"],
    [metric.longDay("2026-09-19"), "Saturday 19 September"],
    [metric.value(Date.UTC(2026, 8, 19, 2, 30), "instant"), "Sat 04:30"],
    [us.dateTime(Date.UTC(2026, 8, 19, 2, 30)), "Fri, Sep 18, 10:30 PM"],
    [us.value(120, "milliliters"), "4.1 fl oz"],
    [us.value(240, "milliliters"), "8.1 fl oz"],
    [us.value(480, "milliliters"), "2 cups"],
    [us.value(900, "grams"), "2 lb"],
    [metric.value(120, "milliliters"), "120 ml"],
  ])("%s", (shown, expected) => {
    expect(shown).toBe(expected);
  });
});
