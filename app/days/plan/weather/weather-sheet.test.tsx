import { describe, expect, test } from "vitest";
import { at, DAY, planned, sheetSaid } from "#app/days/plan/planned-of-tests.tsx";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import type { AroundDay } from "#app/server/day/around-day.server.ts";
import { dayNumber } from "#core/calendar/local-day.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";

describe("the sheet of the weather", () => {
  const weather = (lowCelsius: number, highCelsius: number, what?: string) => [
    {
      dayNumber: dayNumber(DAY),
      lowCelsius,
      highCelsius,
      meanCelsius: (lowCelsius + highCelsius) / 2,
      source: what === undefined ? ("date" as const) : ("farm" as const),
      spell: what === undefined ? undefined : { fromOn: DAY, toOn: DAY, meanCelsius: 0, what },
    },
  ];
  const sheet = (days: AroundDay["weather"], change: Partial<DayChoices> = {}) =>
    sheetSaid(<WeatherSheet />, planned(change), { around: { weather: days } });

  test("says whose weather it is", () => {
    expect(sheet(weather(8, 18))).toContain("No forecast was entered");
    expect(sheet(weather(8, 18, "fair"))).toContain("as you entered it: fair");
    expect(sheet([])).toContain("There is no forecast this far from the day.");
  });

  test("warns of heat, storm, rain and frost, each with what to do, and of none of them on a fair day", () => {
    expect(sheet(weather(27, 36))).toContain("Too warm for crated birds from");
    expect(sheet(weather(15, 22, "thunder"))).toContain(
      "Don't work with metal, water, or wires in lightning",
    );
    expect(sheet(weather(15, 22, "rain"))).toContain("check rain under Choices to include it");
    expect(sheet(weather(15, 22, "rain"), { isRainExpected: true })).toContain("the plan includes that");
    expect(sheet(weather(-3, 8))).toContain("Frost at setup. Drain the hoses");
    const fair = sheet(weather(8, 18));
    for (const word of ["Too warm", "storm", "Rain", "Frost", "dark"]) expect(fair).not.toContain(word);
  });

  test("counts the light that is left, or says that it is dark", () => {
    expect(sheet(weather(8, 18))).toMatch(/Daylight left after a slow day's cleanup: \d+ h/);
    expect(sheet(weather(8, 18), { startAt: at("15:30") })).toMatch(
      /it is dark before cleanup is done, by .+ Start earlier, or set up waterproof lights/,
    );
  });
});
