import { expect, test } from "vitest";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type DayFact, type FactKind, plainFact } from "#core/day/run/day-fact.ts";
import { feedOffOf } from "#core/day/run/feed-off-of.ts";
import { stationsAsRun, stretchesOf } from "#core/day/run/stations-as-run.ts";
import { tanksNow } from "#core/day/run/tanks-now.ts";

const START = Date.parse("2026-09-19T11:00:00Z");
let number = 0;
function fact(kind: FactKind, minute: number, more: Partial<DayFact> = {}): DayFact {
  number += 1;
  return { ...plainFact(kind, START + minute * MINUTE), entryId: `fact-${number}`, ...more };
}

test("a post has its pace and its longest stand, and a pause is neither", () => {
  const facts = [
    fact("table", 0),
    fact("table", 5),
    fact("pause", 6),
    fact("resume", 36),
    fact("table", 40),
    fact("table", 50, { birds: 2 }),
    fact("table", 71),
  ];
  expect(stationsAsRun(facts)).toEqual([
    {
      post: "table",
      birds: 6,
      firstAt: START,
      lastAt: START + 71 * MINUTE,
      minutesABird: 5,
      longest: { at: START + 50 * MINUTE, minutes: 21 },
    },
  ]);
  expect(stationsAsRun([])).toEqual([]);
});

test("a person's stretches follow one another until they leave, or the day ends", () => {
  const stands = (minute: number, person: string, word: string) => fact("stands", minute, { person, word });
  const facts = [
    stands(0, "Tobias", "cones"),
    stands(10, "Maren", "gut"),
    stands(60, "Tobias", "gut"),
    stands(90, "Maren", "gone"),
  ];
  expect(
    stretchesOf(facts, START + 120 * MINUTE).map(({ person, place, from, to }) => [
      person,
      place,
      (from - START) / MINUTE,
      (to - START) / MINUTE,
    ]),
  ).toEqual([
    ["Tobias", "cones", 0, 60],
    ["Maren", "gut", 10, 90],
    ["Tobias", "gut", 60, 120],
  ]);
});

test("feed that was pulled in one pen is off for the lots in it alone", () => {
  const lot = (batchName: string, pens: string[]) => ({ batchName, pens });
  const facts = [fact("feed-off", -500, { note: "Pen 1" }), fact("feed-off", -400, { note: "Pen 2" })];
  expect(feedOffOf(facts, lot("Red", ["Pen 1", "Pen 3"]))).toBe(START - 500 * MINUTE);
  expect(feedOffOf(facts, lot("White", ["Pen 2"]))).toBe(START - 400 * MINUTE);
  expect(feedOffOf(facts, lot("White", []))).toBeUndefined();
  expect(feedOffOf([...facts, fact("feed-off", -300)], lot("White", []))).toBe(START - 300 * MINUTE);
});

test("a breast that is cold clears the birds before it, and not those that come later", () => {
  const breast = (minute: number, celsius: number) =>
    fact("carcass-temperature", minute, { number: 1, celsius });
  const birds = [fact("bird", 30, { number: 1 }), fact("bird", 300, { number: 1 })];
  const warmSince = (...more: DayFact[]) =>
    tanksNow(
      [...birds, ...more].toSorted((one, other) => one.at - other.at),
      1,
    )[0]!.warmSince;
  expect(warmSince(breast(200, 9))).toBe(START + 15 * MINUTE);
  expect(warmSince(breast(200, 4))).toBe(START + 285 * MINUTE);
  expect(warmSince(breast(200, 4), breast(290, 6))).toBe(START + 15 * MINUTE);
  expect(warmSince(breast(400, 3))).toBeUndefined();
});

test("the hours of a tank's first bird count from its own kill", () => {
  const kills = [0, 4, 8].map((minute) => fact("kill", minute));
  const birds = [fact("bird", 30, { number: 1 }), fact("bird", 36, { number: 2 })];
  const [first, second] = tanksNow([...kills, ...birds], 2);
  expect(first!.warmSince).toBe(START);
  expect(second!.warmSince).toBe(START + 4 * MINUTE);
  // Where no one tapped at the cones, no less than the line takes.
  expect(tanksNow(birds, 1)[0]!.warmSince).toBe(START + 15 * MINUTE);
});
