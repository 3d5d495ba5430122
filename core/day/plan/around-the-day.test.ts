import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { instantOf } from "#core/calendar/farm-time.ts";
import { BASIS, CHOICES, choicesOf } from "#core/day/plan/days-of-tests.ts";
import { planForDate } from "#core/day/plan/plan-for-date.ts";
import { birdsThatFit } from "#core/day/plan/room/birds-that-fit.ts";
import { restRoom } from "#core/day/plan/room/rest-room.ts";
import { weatherOnDay } from "#core/day/plan/weather-on-day.ts";
import { reckoning } from "#core/reckoning/reckoning.ts";
import { temperatureAt } from "#core/sky/day-temperature.ts";

const HOUR = 3_600_000;
const at = (value: number) =>
  reckoning({ value, unit: "instant", inputs: [], rule: "typical-for-kind", source: "own-log" });

describe("the air of a day", () => {
  test("is coolest at sunrise, warmest in the afternoon, and never outside the two", () => {
    const day = { lowCelsius: 8, highCelsius: 20 };
    expect(temperatureAt(0, day)).toBe(8);
    expect(temperatureAt(8.5, day)).toBeCloseTo(20, 9);
    expect(temperatureAt(24, day)).toBeCloseTo(temperatureAt(0, day), 9);
    fc.assert(
      fc.property(fc.double({ min: -40, max: 60, noNaN: true }), (hours) => {
        const celsius = temperatureAt(hours, day);
        expect(celsius).toBeGreaterThanOrEqual(8 - 1e-9);
        expect(celsius).toBeLessThanOrEqual(20 + 1e-9);
        // No jump from one minute to the next.
        expect(Math.abs(temperatureAt(hours + 1 / 60, day) - celsius)).toBeLessThan(0.06);
      }),
    );
  });

  const weather = (lowCelsius: number, highCelsius: number, said = "") =>
    weatherOnDay({
      temperatures: { lowCelsius, highCelsius, meanCelsius: (lowCelsius + highCelsius) / 2 },
      said,
      sun: { dawn: 5.5 * HOUR, sunrise: 6 * HOUR, sunset: 18 * HOUR, dusk: 18.5 * HOUR },
      startAt: 7 * HOUR,
      line: {
        setUpAt: 6 * HOUR,
        likelyAt: at(12 * HOUR),
        nineInTenAt: at(14 * HOUR),
        cleanAt: at(13 * HOUR),
      },
    });

  test("gets too warm for crates at an hour of its own, or not at all", () => {
    expect(weather(15, 26).hotFrom).toBeUndefined();
    // Half-way between 21 and 33 comes half-way from sunrise to the warmest hour.
    expect(weather(21, 33).hotFrom! / HOUR).toBeCloseTo(6 + 4.25, 0);
    expect(weather(28, 36).hotFrom).toBe(6 * HOUR);
  });

  test("brings frost, storm and rain where they are, and counts the light after a slow clean-up", () => {
    expect(weather(-2, 8)).toMatchObject({ isFrosty: true, isStormy: false, isWet: false });
    expect(weather(15, 25, "Thunderstorms, then rain")).toMatchObject({ isStormy: true, isWet: true });
    expect(weather(15, 25, "showers")).toMatchObject({ isStormy: false, isWet: true });
    expect(weather(15, 25)).toMatchObject({ slowCleanAt: 15 * HOUR, lightLeftMinutes: 180 });
  });
});

describe("how many birds fit", () => {
  const seven = instantOf("2026-09-19", "07:00", BASIS.timeZone) as { at: number };
  const planned = (birds: number, startAt = seven.at) =>
    planForDate(BASIS, "2026-09-19", choicesOf({ ...CHOICES, startAt }, { birds }));
  const fit = (of: ReturnType<typeof planned>, longestLineMinutes = 10_000, restFree?: number) =>
    new Map(birdsThatFit(of, { longestLineMinutes, restFree }).map(({ limit, birds }) => [limit, birds]));

  test("is said of each limit that they do not all fit within, and a day of so many does", () => {
    const late = planned(58, seven.at + 7 * HOUR);
    const inLight = fit(late).get("light")!;
    expect(inLight).toBeGreaterThan(0);
    expect(inLight).toBeLessThan(58);
    // Taken alone they are done by sunset, or so nearly that only the luck of the draws is between.
    const fewer = planned(inLight, seven.at + 7 * HOUR);
    expect(fewer.plan.line.cleanAt.value).toBeLessThan(late.sun.sunset! + 10 * 60_000);

    const { lineMinutes } = late.plan.line;
    const inHours = fit(late, lineMinutes / 2).get("hours")!;
    expect(inHours).toBeGreaterThan(58 / 4);
    expect(inHours).toBeLessThan((58 * 3) / 4);
    expect(fit(late, lineMinutes + 1).has("hours")).toBe(false);
    expect(fit(late, 10_000, 30).get("rest-room")).toBe(30);
    expect(fit(late, 10_000, 58).has("rest-room")).toBe(false);
  });

  test("is not limited by room to rest where they are packed the same day", () => {
    const of = planned(20);
    const same = { ...of, choices: { ...of.choices, packsSameDay: true } };
    expect(fit(same, 10_000, 3).has("rest-room")).toBe(false);
  });
});

describe("where the birds rest", () => {
  const fridge = { name: "kitchen", capacity: 30, stored: 4, canFreeze: false };
  const either = { name: "barn", capacity: 20, stored: 0, canFreeze: true };
  const around = { places: [fridge, either], others: [], restDays: 2 };

  test("is what is free in the fridges, less other days' birds of the same nights", () => {
    expect(restRoom("2026-10-03", 40, around)).toMatchObject({
      until: "2026-10-05",
      free: 46,
      isEnough: true,
    });
    const others = (day: string) => [{ day, birds: 10, restDays: 2 }];
    expect(restRoom("2026-10-03", 40, { ...around, others: others("2026-10-04") })).toMatchObject({
      othersBirds: 10,
      free: 36,
      isEnough: false,
    });
    // They are gone, or come, on the day itself.
    expect(restRoom("2026-10-03", 40, { ...around, others: others("2026-10-01") })!.othersBirds).toBe(0);
    expect(restRoom("2026-10-03", 40, { ...around, others: others("2026-10-05") })!.othersBirds).toBe(0);
  });

  test("is not in a fridge that is freezing, and unknown where no fridge was named", () => {
    const frozen = { ...around, places: [fridge, { ...either, stored: 1 }] };
    expect(restRoom("2026-10-03", 20, frozen)).toMatchObject({ free: 26 });
    expect(restRoom("2026-10-03", 20, { ...around, places: [] })).toBeUndefined();
  });
});
