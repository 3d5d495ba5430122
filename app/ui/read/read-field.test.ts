import { describe, expect, test } from "vitest";
import type { z } from "zod";
import { amount, money, optional, percent, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { temperature, volume, weight } from "#app/ui/read/read-measure.ts";
import { clockTime, degrees, localDay } from "#app/ui/read/read-when.ts";

/** What a field makes of a text: its value, or what it says is wrong. */
function read(field: z.ZodType, text: string | undefined): unknown {
  const answer = field.safeParse(text);
  return answer.success ? answer.data : answer.error.issues.map(({ message }) => message).join(". ");
}

describe("a whole number", () => {
  const birds = wholeNumber({ least: 1, most: 500, ask: "Enter the number of birds" });
  test.each([
    ["31", 31],
    [" 31 ", 31],
    ["1", 1],
    ["500", 500],
    ["", "Enter the number of birds"],
    [undefined, "Enter the number of birds"],
    ["0", "Enter at least 1"],
    ["501", "That is too much: at most 500"],
    ["-3", "This can't be below 0. Enter the number of birds"],
    ["3.5", "Enter a whole number, such as 31"],
    ["three", "Enter a whole number, such as 31"],
    ["1e3", "Enter a whole number, such as 31"],
    ["99999999999999999999", "Enter a whole number, such as 31"],
  ])("%j is %j", (text, expected) => {
    expect(read(birds, text)).toBe(expected);
  });
});

test("an optional field is undefined when it is empty, and as strict as ever when it is not", () => {
  const ordered = optional(wholeNumber({ least: 1, most: 500, ask: "" }));
  expect(read(ordered, "")).toBeUndefined();
  expect(read(ordered, undefined)).toBeUndefined();
  expect(read(ordered, "60")).toBe(60);
  expect(read(ordered, "sixty")).toBe("Enter a whole number, such as 31");
});

test("words are kept within bounds and never empty", () => {
  const name = words(5, "Give it a name");
  expect(read(name, "  Red ")).toBe("Red");
  expect(read(name, "   ")).toBe("Give it a name");
  expect(read(name, "Red 26-B")).toBe("Use 5 characters or fewer; this has 8");
});

test.each([
  ["18.50", 1850],
  ["", "Enter the price of a bag"],
  ["-1", "A price can't be below 0. Remove the minus sign"],
  ["cheap", "Enter an amount, such as 18.50"],
  ["1.234", "Use at most two decimal places"],
  ["99999999", "That amount is too large; check the decimal point"],
])("money %j is %j", (text, expected) => {
  expect(read(money("Enter the price of a bag", 1_000_000), text)).toBe(expected);
});

describe("a weight", () => {
  const carcass = (unitSystem: "us" | "metric") =>
    weight({ unitSystem, ask: "Type its weight", range: [0.1, 10], what: "a dressed chicken" });
  test.each([
    ["us", "4 9.2", 2_075_185],
    ["metric", "2.08", 2_080_000],
    ["us", "", "Type its weight"],
    ["us", "0", "A weight can't be 0. Put the bird on the scale and read it again"],
    ["us", "46", "46 lb 0 oz is too heavy for a dressed chicken. Check the decimal point and the unit"],
    ["us", "1 oz", "1 oz is too light for a dressed chicken. Check the decimal point and the unit"],
    ["us", "4 16", "Ounces go from 0 to 15.9; 16 make a pound. Check the second number"],
    ["us", "x", "This is not a weight. Enter it like 4 9.2 for 4 lb 9.2 oz, or 4.58"],
    ["metric", "x", "This is not a weight. Enter it like 2.08 for 2.08 kg, or 2080g"],
  ] as const)("in %s units, %j is %j", (unitSystem, text, expected) => {
    expect(read(carcass(unitSystem), text)).toBe(expected);
  });

  test("of a whole batch is never taken for grams", () => {
    const lot = weight({ unitSystem: "us", ask: "", range: [0.1, 1e6], what: "a batch", isBulk: true });
    expect(read(lot, "352")).toBe(Math.round(352 * 453_592.37));
    expect(read(lot, "1,240")).toBe(Math.round(1240 * 453_592.37));
    expect(read(lot, "352.5")).toBe(Math.round(352.5 * 453_592.37));
  });
});

describe("a temperature", () => {
  const tap = (unitSystem: "us" | "metric") =>
    temperature({ unitSystem, least: 0, most: 40, ask: "Average temperature" });
  test.each([
    ["us", "51", 10_556],
    ["us", "51 °F", 10_556],
    ["us", "10.5 C", 10_500],
    ["metric", "10,5", 10_500],
    ["metric", "51f", 10_556],
    ["us", "", "Average temperature"],
    ["us", "31", "Enter a value between 32 °F and 104 °F"],
    ["metric", "-1", "Enter a value between 0 °C and 40 °C"],
    ["us", "cold", "Enter a temperature, such as 59 °F"],
  ] as const)("in %s units, %j is %j", (unitSystem, text, expected) => {
    expect(read(tap(unitSystem), text)).toBe(expected);
  });
});

test.each([
  ["us", "60 l", 60_000],
  ["us", "60 litres", 60_000],
  ["us", "15 gal", 56_781],
  ["us", "15", 56_781],
  ["metric", "60", 60_000],
  ["metric", "full", "Enter a volume, such as 60 l"],
  ["metric", "0.5", "Enter a value between 1 l and 5,000 l"],
] as const)("in %s units, a volume of %j is %j", (unitSystem, text, expected) => {
  expect(read(volume({ unitSystem, least: 1, most: 5000, ask: "" }), text)).toBe(expected);
});

test.each([
  ["1.5", 1.5],
  ["1 1/2", 1.5],
  ["½", 0.5],
  ["0,4", 0.4],
  ["0", 0],
  ["", "How many bags"],
  ["-1", "This can't be below 0"],
  ["some", "Enter a number, such as 1.5 or 1 1/2"],
  ["101", "That is too much: at most 100"],
])("an amount of %j is %j", (text, expected) => {
  expect(read(amount({ most: 100, ask: "How many bags" }), text)).toBe(expected);
});

test.each([
  ["2026-09-17", "2026-09-17"],
  ["2026-04-21", "2026-04-21"],
  ["2026-04-20", "not hatched"],
  ["2026-09-18", "to come"],
  ["2026-02-30", "That date does not exist. Enter year-month-day, such as 2026-09-19"],
  ["17.9.2026", "That date does not exist. Enter year-month-day, such as 2026-09-19"],
  ["", "On which day"],
])("the day %j is %j", (text, expected) => {
  const from = { day: "2026-04-21", problem: "not hatched" };
  const to = { day: "2026-09-17", problem: "to come" };
  expect(read(localDay({ ask: "On which day", from, to }), text)).toBe(expected);
});

test("a day in a year that can't be right is asked about", () => {
  expect(read(localDay({ ask: "" }), "0026-09-19")).toBe("That year is out of range");
  expect(read(localDay({ ask: "" }), "2226-09-19")).toBe("That year is out of range");
});

test.each([
  ["07:00", "07:00"],
  ["7:05", "07:05"],
  ["7.05", "07:05"],
  ["24:00", "Enter a time between 00:00 and 23:59, such as 07:00"],
  ["7", "Enter a time between 00:00 and 23:59, such as 07:00"],
])("the time %j is %j", (text, expected) => {
  expect(read(clockTime, text)).toBe(expected);
});

test.each([
  ["1.2", 12],
  ["1,5 %", 15],
  ["0", "Enter a value between 0.1 and 5 %"],
  ["5.1", "Enter a value between 0.1 and 5 %"],
  ["1.25", "Use at most one decimal place, such as 1.2"],
  ["a pinch", "Enter a percentage, such as 1.2"],
])("%j salt is %j thousandths", (text, expected) => {
  expect(read(percent({ least: 0.1, most: 5, ask: "" }), text)).toBe(expected);
});

test.each([
  ["43.9", 43_900_000],
  ["43,9 N", 43_900_000],
  ["-71.6", -71_600_000],
  ["71.6 W", -71_600_000],
  ["-71.6 W", -71_600_000],
  ["91", "Enter degrees from -90 to 90"],
  ["north", "Enter decimal degrees, such as 43.9 or -71.6"],
])("%j degrees are %j", (text, expected) => {
  expect(read(degrees(text.includes("91") ? 90 : 180, ""), text)).toBe(expected);
});
