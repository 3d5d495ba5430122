import { expect, test } from "vitest";
import { dayOfNumber } from "#core/calendar/local-day.ts";
import { simulatedForecast } from "#devices/forecast/simulated-forecast.ts";

const HEAT = { fromOn: "2026-07-03", toOn: "2026-07-05", meanCelsius: 30, what: "heat wave" };

test("the usual weather is warmest in July in the north, in January in the south, and always warm at the equator", () => {
  const mean = (latitude: number, from: string) =>
    simulatedForecast([]).days({ latitude, from, count: 1 })[0]!.meanCelsius;
  expect(mean(43.9, "2026-07-21")).toBeGreaterThan(mean(43.9, "2026-01-20") + 20);
  expect(mean(-43.9, "2026-07-21")).toBeLessThan(mean(-43.9, "2026-01-20") - 20);
  expect(Math.abs(mean(0, "2026-07-21") - mean(0, "2026-01-20"))).toBeLessThan(1);
});

test("a spell that was typed in stands over the usual weather, its nights and days with it", () => {
  const days = simulatedForecast([HEAT]).days({ latitude: 43.9, from: "2026-07-02", count: 5 });
  expect(days.map(({ dayNumber, spell }) => [dayOfNumber(dayNumber), spell?.what])).toEqual([
    ["2026-07-02", undefined],
    ["2026-07-03", "heat wave"],
    ["2026-07-04", "heat wave"],
    ["2026-07-05", "heat wave"],
    ["2026-07-06", undefined],
  ]);
  expect(days[1]).toMatchObject({ meanCelsius: 30 });
  expect(days[1]!.highCelsius).toBeGreaterThan(30);
  expect(days[1]!.lowCelsius).toBeLessThan(30);
});

test("of two spells for a day the last one stands", () => {
  const cooler = { ...HEAT, meanCelsius: 22, what: "storm" };
  const [day] = simulatedForecast([HEAT, cooler]).days({ latitude: 43.9, from: "2026-07-04", count: 1 });
  expect(day).toMatchObject({ meanCelsius: 22, spell: { what: "storm" } });
});
