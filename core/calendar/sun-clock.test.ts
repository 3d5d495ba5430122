import { expect, test } from "vitest";
import { hoursOffTheSun, longitudeFault } from "#core/calendar/sun-clock.ts";

test("a clock is near the sun of its own zone, and the sign of a longitude that was left out is found", () => {
  // Eastern time is that of 75 degrees west.
  expect(hoursOffTheSun(-75, "America/New_York")).toBe(0);
  expect(longitudeFault(-71.6, "America/New_York")).toBeUndefined();
  expect(longitudeFault(71.6, "America/New_York")).toEqual({ meant: -71.6 });
  expect(longitudeFault(9.7, "Europe/Berlin")).toBeUndefined();
  // The other sign would be no better.
  expect(longitudeFault(175, "Europe/London")).toEqual({ meant: undefined });
});

test("clocks that are far from the sun and zones at the date line are left alone", () => {
  for (const [longitude, timeZone] of [
    [75.9, "Asia/Shanghai"],
    [-8.6, "Europe/Madrid"],
    [178.4, "Pacific/Fiji"],
    [-171.8, "Pacific/Apia"],
    [-157.4, "Pacific/Kiritimati"],
    [-165.4, "America/Nome"],
  ] as const)
    expect(longitudeFault(longitude, timeZone)).toBeUndefined();
});
