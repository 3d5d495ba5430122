import fc from "fast-check";
import { expect, test } from "vitest";
import {
  fahrenheitFromCelsius,
  kilogramsFromMilligrams,
  MILLIGRAMS_PER_POUND,
  millicelsiusFromFahrenheit,
  milligramsFromKilograms,
  milligramsFromPounds,
} from "#core/quantity/conversion.ts";
import { carcassKilograms, cents, liveKilograms, milligrams } from "#core/quantity/quantity.ts";
import { readNumber } from "#core/quantity/read-number.ts";

test("a quantity that is none is a slip, named", () => {
  expect(() => liveKilograms(Number.NaN)).toThrow("live weight must be finite, got NaN");
  expect(() => carcassKilograms(Infinity)).toThrow("carcass weight must be finite, got Infinity");
  expect(() => milligrams(1.5)).toThrow("milligrams must be whole, got 1.5");
  expect(() => cents(0.1 + 0.2)).toThrow("cents must be whole");
});

test("there and back again is where one started, to what is stored", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20_000_000 }), (weight) => {
      expect(milligramsFromPounds(weight / MILLIGRAMS_PER_POUND)).toBe(weight);
      expect(milligramsFromKilograms(kilogramsFromMilligrams(weight))).toBe(weight);
    }),
  );
  fc.assert(
    fc.property(fc.integer({ min: -30_000, max: 110_000 }), (millicelsius) => {
      expect(millicelsiusFromFahrenheit(fahrenheitFromCelsius(millicelsius / 1000))).toBe(millicelsius);
    }),
  );
});

test.each([
  [32, 0],
  [212, 100_000],
  [-40, -40_000],
  [40, 4_444],
])("%d °F is %d thousandths of a degree Celsius", (fahrenheit, millicelsius) => {
  expect(millicelsiusFromFahrenheit(fahrenheit)).toBe(millicelsius);
});

test.each([
  ["1,234.5", 1234.5],
  ["1,234", 1234],
  ["0,234", 0.234],
  ["12,34", 12.34],
  ["3/4", 0.75],
  ["9 1/4", 9.25],
  [".5", 0.5],
  ["5.", 5],
  ["1.2.3", undefined],
  ["1/0", undefined],
  ["-1", undefined],
  ["0x10", undefined],
])("%j reads as %j", (text, value) => {
  expect(readNumber(text)).toBe(value);
});
