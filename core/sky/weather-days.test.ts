import { expect, test } from "vitest";
import { dayOfNumber } from "#core/calendar/local-day.ts";
import { type Spell, weatherDays } from "#core/sky/weather-days.ts";

const HEAT: Spell = { fromOn: "2026-07-03", toOn: "2026-07-05", meanCelsius: 30, what: "heat wave" };
const days = (from: string, count: number, spells: readonly Spell[] = [], latitude = 43.9) =>
  weatherDays({ latitude, from, count, spells, forecastOf: () => undefined });

test("the usual weather is warmest in July in the north, in January in the south, and always warm at the equator", () => {
  const mean = (latitude: number, from: string) => days(from, 1, [], latitude)[0]!.meanCelsius;
  expect(mean(43.9, "2026-07-21")).toBeGreaterThan(mean(43.9, "2026-01-20") + 20);
  expect(mean(-43.9, "2026-07-21")).toBeLessThan(mean(-43.9, "2026-01-20") - 20);
  expect(Math.abs(mean(0, "2026-07-21") - mean(0, "2026-01-20"))).toBeLessThan(1);
});

test("a spell that was typed in stands over forecast and usual weather, its nights and days with it", () => {
  const told = days("2026-07-02", 5, [HEAT]);
  expect(told.map(({ dayNumber, source, spell }) => [dayOfNumber(dayNumber), source, spell?.what])).toEqual([
    ["2026-07-02", "date", undefined],
    ["2026-07-03", "farm", "heat wave"],
    ["2026-07-04", "farm", "heat wave"],
    ["2026-07-05", "farm", "heat wave"],
    ["2026-07-06", "date", undefined],
  ]);
  expect(told[1]).toMatchObject({ meanCelsius: 30 });
  expect(told[1]!.highCelsius).toBeGreaterThan(30);
  expect(told[1]!.lowCelsius).toBeLessThan(30);
});

test("of two spells for a day the last one stands", () => {
  const cooler = { ...HEAT, meanCelsius: 22, what: "storm" };
  const [day] = days("2026-07-04", 1, [HEAT, cooler]);
  expect(day).toMatchObject({ meanCelsius: 22, spell: { what: "storm" } });
});

test("a forecast stands over the usual weather on the days it speaks of", () => {
  const said = { meanCelsius: 3.14, lowCelsius: 1, highCelsius: 5 };
  const told = weatherDays({
    latitude: 43.9,
    from: "2026-07-02",
    count: 2,
    spells: [],
    forecastOf: (day) => (day === "2026-07-03" ? said : undefined),
  });
  expect(told.map(({ source }) => source)).toEqual(["date", "forecast"]);
  expect(told[1]).toMatchObject({ meanCelsius: 3.1, lowCelsius: 1, highCelsius: 5 });
});
