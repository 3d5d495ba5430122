import { expect, test } from "vitest";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { RunForecast } from "#core/day/forecast/run-forecast.ts";
import { BASIS, CHOICES, LOT } from "#core/day/plan/days-of-tests.ts";
import { type DayFact, plainFact } from "#core/day/run/day-fact.ts";
import { TookTooLong, WorkPool } from "#workers/pool/client.ts";
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

test("a task that takes too long, or that nobody waits for, is given up, and the next one is done", async () => {
  const pool = new WorkPool({ root: process.cwd(), threads: 1, mostMilliseconds: 20_000 });
  const asked = { from: "2026-09-17", to: "2027-10-01", timeZone: "America/New_York" };
  const events = Array.from(
    { length: 400 },
    (_, index) =>
      `BEGIN:VEVENT\r\nUID:${index}\r\nDTSTART:20150101T120000Z\r\nRRULE:FREQ=DAILY\r\nEND:VEVENT`,
  );
  const text = `BEGIN:VCALENDAR\r\n${events.join("\r\n")}\r\nEND:VCALENDAR`;
  const left = new AbortController();
  const tooLong = pool.run("read-calendar", { text, ...asked }, { mostMilliseconds: 50 });
  const nobody = pool.run("read-calendar", { text, ...asked }, { signal: left.signal });
  const next = pool.run("read-calendar", { text: "x", ...asked });
  const all = Promise.allSettled([tooLong, nobody, next]);
  left.abort();
  const [first, second, third] = await all;
  expect(first).toMatchObject({ reason: expect.any(TookTooLong) });
  expect(second).toMatchObject({ reason: new Error("nobody waits for read-calendar any more") });
  expect(third).toMatchObject({ value: { ok: false, problem: "not-a-calendar" } });
  await pool.close();
});
