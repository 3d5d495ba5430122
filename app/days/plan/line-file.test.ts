import { expect, test } from "vitest";
import { LineFile, lineDayOfFile, lineFileOf } from "#app/days/plan/line-file.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { ORDINARY_DAY, person } from "#core/processing-line/line-days-of-tests.ts";

function dayOf(file: unknown): LineDay {
  const read = lineDayOfFile(LineFile.parse(file));
  if (!("day" in read)) throw new Error(JSON.stringify(read.problems));
  return read.day;
}

test("a day written as a file reads as the same day", () => {
  const day: LineDay = {
    ...ORDINARY_DAY,
    people: [
      { ...person("Tobias", ["cones", "scald", "pluck"]), pace: { cones: 1.2, scald: 1, pluck: 1 } },
      { ...person("Maren", ["gut", "rinse", "giblets", "pins"]), fromMinute: 30, toMinute: 300 },
    ],
    minutes: { ...ORDINARY_DAY.minutes, scaldLoad: 1.25 },
    waterChange: { everyBirds: 20, minutes: 15 },
    bath: { sagPerBird: 0.5, recoveryPerMinute: 0.35, waitBelow: 2, zCelsius: 19 },
  };
  const file = lineFileOf(day, { kind: "slow", liveKilograms: 2.9, start: "07:00" });
  const people = day.people.map((one) => ({
    ...one,
    pace: Object.fromEntries(one.stations.map((station) => [station, one.pace[station] ?? 1])),
  }));
  expect(dayOf(JSON.parse(JSON.stringify(file)))).toEqual({ ...day, people });
});

test.each([
  [{ breaks: [{ at: "06:00", minutes: 30 }] }, "06:00 is before the start, 07:00"],
  [
    {
      breaks: [
        { at: "10:00", minutes: 90 },
        { at: "11:00", minutes: 20 },
      ],
    },
    "11:00 is within the break before it",
  ],
  [{ work: { cutUp: 20, packSameDay: true } }, "there are only 12 birds"],
  [{ people: [{ from: "12:00", to: "11:00" }] }, "11:00 is not after they come"],
])("%j is named", (change, problem) => {
  const read = lineDayOfFile(LineFile.parse({ birds: 12, people: [{}], kit: { cones: 2 }, ...change }));
  expect("problems" in read ? read.problems.map((one) => one.problem) : []).toContain(problem);
});
