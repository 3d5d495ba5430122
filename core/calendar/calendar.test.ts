import { expect, test } from "vitest";
import {
  instantOf,
  isTimeZone,
  localClock,
  localDayOf,
  localHours,
  startOfDay,
} from "#core/calendar/farm-time.ts";
import { addDays, daysBetween, isLocalDay } from "#core/calendar/local-day.ts";

const ZONE = "America/New_York";

test.each(["2026-02-30", "2026-13-01", "2026-3-1", "yesterday", "", "2026-04-21T10:00"])(
  "%j is no day",
  (text) => {
    expect(isLocalDay(text)).toBe(false);
  },
);

test("days are counted over a leap day and a change of the clocks", () => {
  expect(isLocalDay("2028-02-29")).toBe(true);
  expect(daysBetween("2028-02-28", "2028-03-01")).toBe(2);
  expect(daysBetween("2026-10-31", "2026-11-02")).toBe(2);
  expect(addDays("2026-03-01", -1)).toBe("2026-02-28");
});

test("an hour that the clocks jump over does not exist, and the next one that does is named", () => {
  expect(instantOf("2026-03-08", "02:30", ZONE)).toEqual({ exists: false, next: "03:00" });
  expect(instantOf("2026-03-08", "03:00", ZONE)).toEqual({ exists: true, at: Date.UTC(2026, 2, 8, 7) });
});

test("of an hour that comes twice, the first is meant", () => {
  expect(instantOf("2026-11-01", "01:30", ZONE)).toEqual({ exists: true, at: Date.UTC(2026, 10, 1, 5, 30) });
});

test("an instant has a day and a clock at the farm", () => {
  const at = Date.UTC(2026, 8, 18, 2, 30);
  expect(localDayOf(at, ZONE)).toBe("2026-09-17");
  expect(localClock(at, ZONE)).toBe("22:30");
  expect(startOfDay("2026-09-17", ZONE)).toBe(Date.UTC(2026, 8, 17, 4));
});

test("the night on which the clocks go back has one hour more", () => {
  const from = startOfDay("2026-11-01", ZONE);
  const hours = localHours(from, startOfDay("2026-11-02", ZONE) - 1, ZONE).map(({ hour }) => hour);
  expect(hours).toHaveLength(25);
  expect(hours.slice(0, 4)).toEqual([0, 1, 1, 2]);
});

test("time zones are known by their names", () => {
  expect(isTimeZone(ZONE)).toBe(true);
  expect(isTimeZone("Ottauk/Valley")).toBe(false);
});

test("an instant that was worked out and is no whole millisecond is read all the same", () => {
  expect(localClock(Date.UTC(2026, 8, 19, 11) + 0.4, "America/New_York")).toBe("07:00");
  expect(
    localHours(Date.UTC(2026, 8, 19, 11) + 0.4, Date.UTC(2026, 8, 19, 12) + 0.6, "America/New_York"),
  ).toHaveLength(2);
});
