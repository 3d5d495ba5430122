import { expect, test } from "vitest";
import { nightBefore, skyBetween, sunOfDay } from "#core/sky/farm-sky.ts";
import { sunAltitudeDegrees } from "#core/sky/sun.ts";

const EQUATOR = { latitude: 0, longitude: 0 };
const NORTH_CAPE = { latitude: 71.2, longitude: 25.8 };
const MINUTE = 60_000;

test("at the equator the sun rises and sets twelve hours and about seven minutes apart", () => {
  const { sunrise, sunset } = sunOfDay("2026-03-20", "UTC", EQUATOR);
  expect((sunset! - sunrise!) / MINUTE).toBeGreaterThan(12 * 60 + 5);
  expect((sunset! - sunrise!) / MINUTE).toBeLessThan(12 * 60 + 9);
});

test("the sun is at 0 degrees and a little below when it rises, and at 6 below at dusk", () => {
  const place = { latitude: 43.9, longitude: -71.6 };
  const { sunrise, dusk } = sunOfDay("2026-09-19", "America/New_York", place);
  expect(sunAltitudeDegrees(sunrise!, place)).toBeGreaterThan(-1);
  expect(sunAltitudeDegrees(sunrise!, place)).toBeLessThan(0.1);
  expect(sunAltitudeDegrees(dusk!, place)).toBeCloseTo(-6, 0);
});

test("where the sun does not set that day there is no night, and no time is made up", () => {
  expect(sunOfDay("2026-06-21", "Europe/Oslo", NORTH_CAPE)).toEqual({
    dawn: undefined,
    sunrise: undefined,
    sunset: undefined,
    dusk: undefined,
  });
  expect(nightBefore("2026-06-21", "Europe/Oslo", NORTH_CAPE)).toBeUndefined();
});

test("the night before a day runs from that evening's dusk to the day's dawn", () => {
  const night = nightBefore("2026-09-19", "America/New_York", { latitude: 43.9, longitude: -71.6 })!;
  expect(night.duskAt).toBeLessThan(night.dawnAt);
  expect((night.dawnAt - night.duskAt) / 3_600_000).toBeCloseTo(10.7, 0);
});

test("a stretch of sky begins and ends where it was asked to", () => {
  const sky = skyBetween(0, 6 * 3_600_000, EQUATOR);
  expect(sky.altitudes).toHaveLength(37);
  expect(sky.altitudes[0]).toBe(sunAltitudeDegrees(0, EQUATOR));
  expect(sky.altitudes.at(-1)).toBe(sunAltitudeDegrees(6 * 3_600_000, EQUATOR));
});
