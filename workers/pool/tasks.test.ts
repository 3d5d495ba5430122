import { expect, test } from "vitest";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { RunForecast } from "#core/day/forecast/run-forecast.ts";
import { BASIS, CHOICES, LOT } from "#core/day/plan/days-of-tests.ts";
import { type DayFact, plainFact } from "#core/day/run/day-fact.ts";
import { TASKS } from "#workers/pool/tasks.ts";

const START = Date.parse("2026-09-19T11:00:00Z");
const chill = (bird: number): DayFact => ({
  ...plainFact("bird", START + (25 + bird * 6) * MINUTE),
  entryId: `bird-${bird}`,
});
const FACTS = Array.from({ length: 18 }, (_, bird) => chill(bird));
const at = (minute: number) => START + minute * MINUTE;
const running = (minute: number) => ({
  basis: { ...BASIS, iceBagsInStock: 3 },
  processedOn: "2026-09-19",
  choices: { ...CHOICES, startAt: START, lots: [{ ...LOT, birds: 30 }] },
  facts: FACTS.filter((fact) => fact.at <= at(minute)),
  now: at(minute),
});

test("a forecast is told before what would help, and is the same with it", () => {
  const soFar: RunForecast[] = [];
  const whole = TASKS["run-forecast"](running(130), (forecast) => soFar.push(forecast));
  expect(soFar).toHaveLength(1);
  expect(soFar[0]!.moves).toBeUndefined();
  expect(whole).toEqual({ ...soFar[0], moves: expect.any(Array) });
  expect(whole.ice!.outAt).toBeGreaterThan(START);
});

test("no bag of ice chills no bird, and no limit in the past is met by birds to come", () => {
  const none = TASKS["changed-day"]({ ...running(60), limitAt: at(60), iceBags: 0 });
  expect(none.iceFor).toBe(0);
  expect(none.birdsBy).toBe(FACTS.filter((fact) => fact.at <= at(60)).length);
  const all = TASKS["changed-day"]({ ...running(60), limitAt: Infinity, iceBags: 500 });
  expect(all).toMatchObject({ iceFor: 30, birdsBy: 30 });
});
