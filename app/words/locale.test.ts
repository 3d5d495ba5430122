import { expect, test } from "vitest";
import { isKnownLocale, localeFormats, localeOfBrowser } from "#app/words/locale.ts";

const AT = Date.UTC(2026, 8, 19, 14, 52);
const NIGHT = Date.UTC(2026, 8, 20, 3, 5);

test.each([
  ["en-US", "10:52 AM", "11:05 PM", "Saturday, September 19", "Sat, Sep 19", "1,234.5", 6, "LETTER"],
  ["en-GB", "10:52", "23:05", "Saturday 19 September", "Sat 19 Sept", "1,234.5", 0, "A4"],
  ["en-CA", "10:52 a.m.", "11:05 p.m.", "Saturday, September 19", "Sat, Sep 19", "1,234.5", 6, "LETTER"],
  ["en-AU", "10:52 am", "11:05 pm", "Saturday 19 September", "Sat 19 Sept", "1,234.5", 0, "A4"],
  ["en-NZ", "10:52 am", "11:05 pm", "Saturday 19 September", "Sat 19 Sept", "1,234.5", 0, "A4"],
  ["de-DE", "10:52", "23:05", "Saturday 19 September", "Sat 19 Sept", "1.234,5", 0, "A4"],
])(
  "%s has its own clock, dates, numbers, week and paper, all in English",
  (tag, time, night, longDay, shortDay, number, weekStart, paper) => {
    const formats = localeFormats(tag, "America/New_York");
    expect(formats.time(AT)).toBe(time);
    expect(formats.time(NIGHT)).toBe(night);
    expect(formats.longDay("2026-09-19")).toBe(longDay);
    expect(formats.shortDay("2026-09-19")).toBe(shortDay);
    expect(formats.number(1234.5, 1)).toBe(number);
    expect([formats.weekStart, formats.paper]).toEqual([weekStart, paper]);
  },
);

test("noon and midnight are written as people do", () => {
  const { time } = localeFormats("en-US", "UTC");
  expect([time(0), time(12 * 3_600_000)]).toEqual(["12:00 AM", "12:00 PM"]);
  expect(localeFormats("en-GB", "UTC").time(0)).toBe("00:00");
});

test.each([
  [null, "en-US"],
  ["", "en-US"],
  ["*", "en-US"],
  ["en-GB,en;q=0.9", "en-GB"],
  ["en", "en-US"],
  ["not a tag,en-NZ", "en-NZ"],
  ["de-DE,de;q=0.9", "de-DE"],
  ["x".repeat(5000), "en-US"],
])("a browser that says %s has %s", (header, expected) => {
  expect(localeOfBrowser(header)).toBe(expected);
});

test("a file with a locale that is not known here is read with our own", () => {
  expect(isKnownLocale("zz-unknown-tag-here")).toBe(false);
  expect(localeFormats("zz-unknown-tag-here", "UTC").longDay("2026-09-19")).toBe("Saturday, September 19");
});
