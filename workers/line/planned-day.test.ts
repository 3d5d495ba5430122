import { expect, test } from "vitest";
import { BASIS, CHOICES, helper } from "#core/day/plan/days-of-tests.ts";
import { type AskedPlan, plannedDay, playedLines } from "#workers/line/planned-day.ts";

const choices = { ...CHOICES, startAt: Date.UTC(2026, 8, 19, 11) };
const asked: AskedPlan = { basis: BASIS, processedOn: "2026-09-19", choices };
const STATIONS = ["cones", "scald", "pluck", "feet", "pins", "gut", "rinse", "giblets"] as const;
const crew = [1, 2].map((personId) => ({ personId, name: `Person ${personId}`, stations: STATIONS }));

/** Two people who are there until an hour, minutes of the day. */
const until = (toMinute: number): AskedPlan => ({
  ...asked,
  basis: { ...BASIS, helpers: [1, 2].map((id) => helper(id, { toMinute })) },
  choices: { ...choices, people: 2, crew },
});

const samePlan = (one: AskedPlan) => {
  const lines = playedLines(one);
  expect(JSON.stringify(plannedDay({ ...one, lines }))).toBe(JSON.stringify(plannedDay(one)));
  return lines.length;
};

test("a plan from lines that were played before is the plan that plays them itself", () => {
  expect(samePlan(asked)).toBe(1);
});

test("so is that of a crew whose hours do on an ordinary morning and not on a slow one, which is played twice", () => {
  const hours = Array.from({ length: 14 }, (_, step) => (10 + step / 2) * 60);
  const tight = hours.find((minute) => playedLines(until(minute)).length === 2);
  expect(tight).toBeDefined();
  expect(samePlan(until(tight!))).toBe(2);
});
