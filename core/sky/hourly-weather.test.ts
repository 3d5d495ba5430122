import fc from "fast-check";
import { expect, test } from "vitest";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { type HourWeather, startingLater, weatherWhile } from "#core/sky/hourly-weather.ts";

const START = Date.parse("2026-09-19T04:00:00Z");
const hour = (index: number, change: Partial<HourWeather> = {}): HourWeather => ({
  at: START + index * HOUR,
  rainMillimeters: 0,
  gustKilometersPerHour: 12,
  stormPercent: 0,
  ...change,
});
const DRY = Array.from({ length: 24 }, (_, index) => hour(index));
/** Rain from 7 to 9, the second hour with thunder and gusts. */
const WET = DRY.with(7, hour(7, { rainMillimeters: 1 })).with(
  8,
  hour(8, { rainMillimeters: 3, stormPercent: 60, gustKilometersPerHour: 70 }),
);
const at = (clock: number) => START + clock * HOUR;

test("wet hours count as far as the work is in them", () => {
  expect(weatherWhile(WET, at(6.5), at(11))).toEqual({
    wetHours: 2,
    rainMillimeters: 4,
    strongestGust: 70,
    hasStrongGusts: true,
    wetFrom: at(7),
    stormFrom: at(8),
  });
  expect(weatherWhile(WET, at(7.5), at(8))).toMatchObject({
    wetHours: 0.5,
    wetFrom: at(7.5),
    stormFrom: undefined,
  });
  expect(weatherWhile(WET, at(9), at(12))).toMatchObject({
    wetHours: 0,
    wetFrom: undefined,
    hasStrongGusts: false,
  });
});

test("nothing is said of hours that are not forecast", () => {
  expect(weatherWhile(WET, at(20), at(25))).toBeUndefined();
  expect(weatherWhile([], at(7), at(9))).toBeUndefined();
  expect(weatherWhile(WET, at(9), at(9))).toBeUndefined();
  expect(startingLater(WET, at(19), at(24))).toBeUndefined();
});

test("the shortest wait that helps is named, and where none does, what an hour brings", () => {
  expect(startingLater(WET, at(7), at(11))!.wait).toMatchObject({ minutes: 60, weather: { wetHours: 1 } });
  expect(startingLater(WET, at(6), at(11))!.wait).toMatchObject({ minutes: 120, weather: { wetHours: 1 } });
  expect(startingLater(DRY, at(7), at(11))!.wait).toMatchObject({ minutes: 60, weather: { wetHours: 0 } });
});

test("hours of a stretch add up however it is cut", () => {
  const clock = fc.double({ min: 0, max: 24, noNaN: true });
  fc.assert(
    fc.property(fc.tuple(clock, clock, clock), (clocks) => {
      const [from, between, to] = clocks.toSorted((one, other) => one - other) as [number, number, number];
      const rain = (one: number, other: number) =>
        weatherWhile(WET, at(one), at(other))?.rainMillimeters ?? 0;
      expect(rain(from, between) + rain(between, to)).toBeCloseTo(rain(from, to), 4);
    }),
  );
});
