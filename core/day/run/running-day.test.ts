import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { MINUTE, SECOND } from "#core/calendar/milliseconds.ts";
import { dayAsRun } from "#core/day/forecast/day-as-run.ts";
import { pacesNow } from "#core/day/forecast/paces-now.ts";
import { conesNow } from "#core/day/run/cones-now.ts";
import {
  type DayFact,
  FACT_KINDS,
  type FactKind,
  factFault,
  factShape,
  plainFact,
} from "#core/day/run/day-fact.ts";
import { marksNow } from "#core/day/run/marks-now.ts";
import { type ScaldSetting, scaldNow } from "#core/day/run/scald-now.ts";
import { tanksNow } from "#core/day/run/tanks-now.ts";
import { tappedTwice } from "#core/day/run/tapped-twice.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";

const START = 1_000_000_000_000;
let number = 0;
/** A fact at so many minutes after the planned start. */
function fact(kind: FactKind, minute: number, more: Partial<DayFact> = {}): DayFact {
  number += 1;
  return { ...plainFact(kind, START + minute * MINUTE), entryId: `fact-${number}`, ...more };
}
const asRun = (facts: readonly DayFact[], minute: number) =>
  dayAsRun(ORDINARY_DAY, facts, { startAt: START, now: START + minute * MINUTE });

describe("facts", () => {
  test("each kind says what it has to, and nothing that can't be", () => {
    expect(factFault(plainFact("bird", 0))).toBeUndefined();
    expect(factFault({ ...plainFact("bird", 0), birds: 0 })).toBe("too-many-birds");
    expect(factFault({ ...plainFact("bird", 0), birds: 2.5 })).toBe("too-many-birds");
    expect(factFault(plainFact("water", 0))).toBe("temperature-needed");
    expect(factFault({ ...plainFact("water", 0), celsius: 204.4 })).toBe("impossible-temperature");
    expect(factFault({ ...plainFact("dip-out", 0), word: "maybe" })).toBe("unknown-word");
    expect(factFault({ ...plainFact("kill", 0), number: 0 })).toBe("number-needed");
    expect(factFault({ ...plainFact("ice", 0), number: 1 })).toBe("bags-needed");
    expect(factFault(plainFact("note", 0))).toBe("note-needed");
  });

  test("what belongs to another fact names a kind there is", () => {
    for (const kind of FACT_KINDS) {
      const { of } = factShape(kind);
      if (of !== undefined) expect(FACT_KINDS).toContain(of);
    }
  });
});

describe("cones", () => {
  const inCone = (seconds: number) =>
    conesNow([fact("kill", 0, { number: 2 })], 3, START + seconds * SECOND).map(({ state }) => state);

  test.each([
    { seconds: 89.9, state: "bleeding" },
    { seconds: 90, state: "past-the-floor" },
  ])("after $seconds s a bird is $state", ({ seconds, state }) => {
    expect(inCone(seconds)).toEqual(["free", state, "free"]);
  });

  test("a cone is free once it was emptied, and a bird on top of another says that the first is out", () => {
    const first = fact("kill", 0, { number: 1 });
    const out = fact("cone-out", 2, { number: 1 });
    expect(conesNow([out, first], 1, START + 3 * MINUTE)[0]).toMatchObject({ state: "free" });
    const second = fact("kill", 3, { number: 1 });
    expect(conesNow([first, second], 1, START + 3 * MINUTE)[0]).toMatchObject({
      state: "bleeding",
      bird: second,
    });
  });
});

describe("scald", () => {
  const SETTING: ScaldSetting = { kind: "slow", method: "middle", bathCelsius: 60 };
  const at = (seconds: number) => START + seconds * SECOND;
  const dip = fact("dip-in", 0);
  const reading = (seconds: number, celsius: number) => ({ at: at(seconds), celsius });

  test("in a bath at its setting the countdown is the plan's, and in one that sags it stretches", () => {
    const steady = scaldNow([dip], [], SETTING, at(20)).dip!;
    expect(steady).toMatchObject({ inSeconds: 20, longerSeconds: 0 });
    expect(steady.targetSeconds).toBeCloseTo(75, 6);
    const sagging = [reading(-2, 60), reading(10, 58.5), reading(20, 57.5)];
    const stretched = scaldNow([dip], sagging, SETTING, at(20)).dip!;
    expect(stretched.targetSeconds).toBeGreaterThan(85);
    expect(stretched.trySeconds).toBeLessThan(stretched.targetSeconds!);
    expect(stretched.liftBySeconds).toBeGreaterThan(stretched.targetSeconds!);
    const cold = scaldNow([dip], [reading(-2, 45)], SETTING, at(20)).dip!;
    expect(cold).toMatchObject({ trySeconds: undefined, targetSeconds: undefined, liftBySeconds: undefined });
  });

  test("feathers teach the target: held makes it longer, torn shorter; a load that is dipped again answers once", () => {
    const load = (minute: number, seconds: number, word: string) => {
      const into = fact("dip-in", minute);
      return [into, fact("dip-out", minute + seconds / 60, { of: into.entryId, word })];
    };
    const held = [...load(0, 75, "hold"), ...load(10, 75, "hold")];
    const torn = [...load(0, 75, "tear"), ...load(10, 75, "tear")];
    const seconds = (facts: DayFact[]) => scaldNow(facts, [], SETTING, at(3000)).learnedSeconds!;
    expect(seconds(held)).toBeGreaterThan(80);
    expect(seconds(torn)).toBeLessThan(70);
    const again = scaldNow([...load(0, 60, "hold"), ...load(1.2, 20, "slip")], [], SETTING, at(3000));
    expect(again).toMatchObject({ answered: 1, lastDozen: { hold: 0, slip: 1, tear: 0 }, dip: undefined });
  });

  test("a dip that was lifted twice answers once, and water counts from its last change", () => {
    const lift = fact("dip-out", 1, { of: dip.entryId, word: "slip" });
    const twice = fact("dip-out", 1.5, { of: dip.entryId, word: "tear" });
    const facts = [dip, lift, twice, fact("water-changed", 5), fact("dip-in", 6, { birds: 2 })];
    expect(scaldNow(facts, [], SETTING, at(400))).toMatchObject({
      sinceChange: 2,
      answered: 1,
      lastDozen: { slip: 1, tear: 0 },
    });
  });
});

test("tanks hold what was tapped into them, and a carcass and the water are read apart", () => {
  const facts = [
    fact("bird", 30),
    fact("bird", 33, { number: 2, birds: 3 }),
    fact("ice", 35, { number: 2, bags: 1.5 }),
    fact("tank-temperature", 40, { number: 2, celsius: 3 }),
    fact("tank-temperature", 50, { number: 2, celsius: 5 }),
    fact("kill", 51, { number: 4 }),
  ];
  expect(tanksNow(facts, 1)).toMatchObject([
    { number: 1, birds: 1, bags: 0, temperature: undefined },
    {
      number: 2,
      birds: 3,
      bags: 1.5,
      temperature: { celsius: 5, at: START + 50 * MINUTE },
      carcass: undefined,
    },
  ]);
});

test("marks point at something from one in ten of ten birds on", () => {
  const birds = Array.from({ length: 10 }, (_, minute) => fact("table", minute));
  const crops = [1, 2].map((minute) => fact("mark", minute, { word: "full-crop" }));
  expect(marksNow([...birds, ...crops])).toMatchObject({ birds: 10, hints: ["full-crop"] });
  expect(marksNow([...birds, crops[0]!]).hints).toEqual([]);
  expect(marksNow([...birds.slice(1), ...crops]).hints).toEqual([]);
});

describe("a day as it was run", () => {
  test("with nothing tapped it is the plan", () => {
    const { day, soFar, originAt } = asRun([], 15);
    expect(day).toEqual({ ...ORDINARY_DAY, people: day.people });
    expect(day.people).toEqual(ORDINARY_DAY.people);
    expect(soFar).toEqual({ nowMinute: 15, taps: [] });
    expect(originAt).toBe(START);
  });

  test("a late start moves the line's beginning, an early one the plan's own hours", () => {
    expect(asRun([fact("start", 12), fact("kill", 14)], 20).day.setUpMinutes).toBe(14);
    const early = asRun([fact("kill", -10)], 20);
    expect(early.day).toMatchObject({ setUpMinutes: 0, breaks: [{ fromMinute: 130, minutes: 30 }] });
    expect(early.soFar.nowMinute).toBe(30);
  });

  test("a first tap at the chill that starts the day does not mean that its bird was killed just then", () => {
    const { day } = asRun([fact("start", 24), fact("bird", 24)], 25);
    expect(day.setUpMinutes).toBeGreaterThan(5);
    expect(day.setUpMinutes).toBeLessThan(20);
  });

  test("birds that are not killed are off the day, and birds beyond the plan are on it", () => {
    expect(birdsOf(asRun([fact("not-killed", 3, { birds: 2 }), fact("dead-in-crate", 4)], 9).day)).toBe(37);
    const more = Array.from({ length: 43 }, (_, minute) => fact("bird", minute + 20));
    expect(birdsOf(asRun(more, 90).day)).toBe(43);
  });

  test("someone who moves is at the new place from then on; who leaves is gone; who comes is there", () => {
    const { people } = asRun(
      [
        fact("stands", 30, { person: "Oskar", word: "rinse" }),
        fact("stands", 40, { person: "Ines", word: "gone" }),
        fact("stands", 45, { person: "Pell", word: "pack" }),
      ],
      50,
    ).day;
    const hours = people.map(({ name, stations, fromMinute, toMinute }) => [
      name,
      stations[0],
      fromMinute,
      toMinute,
    ]);
    expect(hours).toContainEqual(["Oskar", "feet", 0, 30]);
    expect(hours).toContainEqual(["Oskar", "rinse", 30, Infinity]);
    expect(hours).toContainEqual(["Ines", "gut", 0, 40]);
    expect(hours).toContainEqual(["Pell", "pack", 45, Infinity]);
  });

  test("a pause that was taken early stands for the planned break; one to come still comes", () => {
    const taken = asRun([fact("kill", 0), fact("pause", 100), fact("resume", 125)], 140).day;
    expect(taken.breaks).toEqual([{ fromMinute: 100, minutes: 25 }]);
    const ahead = asRun([fact("kill", 0), fact("pause", 20), fact("resume", 30)], 40).day;
    expect(ahead.breaks).toEqual([
      { fromMinute: 20, minutes: 10 },
      { fromMinute: 120, minutes: 30 },
    ]);
    const going = asRun([fact("kill", 0), fact("pause", 118)], 121).day;
    expect(going.breaks).toEqual([{ fromMinute: 118, minutes: 30 }]);
  });

  test("a milestone never counts more birds than there are, nor a load that is dipped again", () => {
    const anyKind = fc.constantFrom<FactKind>("kill", "dip-in", "dip-out", "plucked", "table", "bird");
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyKind, fc.integer({ min: 1, max: 100 })), { maxLength: 60 }),
        (taps) => {
          const facts = taps.map(([kind, birds], minute) => fact(kind, minute, { birds, word: "slip" }));
          const { day, soFar } = asRun(facts, 100);
          for (const kind of new Set(soFar.taps.map(({ milestone }) => milestone))) {
            const own = soFar.taps.filter(({ milestone }) => milestone === kind);
            expect(own.reduce((sum, { birds }) => sum + birds, 0)).toBeLessThanOrEqual(birdsOf(day));
          }
        },
      ),
    );
    const load = (minute: number, word: string) => {
      const into = fact("dip-in", minute);
      return [into, fact("dip-out", minute + 1, { of: into.entryId, word })];
    };
    const milestones = (facts: DayFact[]) => asRun(facts, 9).soFar.taps.map(({ milestone }) => milestone);
    expect(milestones([...load(1, "hold"), ...load(2.2, "slip")])).toEqual(["dip-in", "dip-out"]);
    // A load that held and was plucked by hand is not the one that comes minutes later.
    expect(milestones([...load(1, "hold"), ...load(5, "slip")])).toHaveLength(4);
  });
});

test("a pace at the table follows its taps slowly, and a wait for birds is no pace", () => {
  const tapsOf = (count: number, every: number) =>
    Array.from({ length: count }, (_, bird) => fact("table", 40 + bird * every, { person: "Maren" }));
  const paceOf = (facts: DayFact[]) => pacesNow(ORDINARY_DAY, facts, START)[0];
  expect(paceOf(tapsOf(1, 3))).toBeUndefined();
  const few = paceOf(tapsOf(4, 2))!;
  const many = paceOf(tapsOf(30, 2))!;
  expect(few.plannedMinutes).toBe(4);
  expect(few.minutes).toBeLessThan(4);
  expect(few.minutes).toBeGreaterThan(many.minutes);
  expect(many.minutes).toBeCloseTo(2, 0);
  expect(paceOf(tapsOf(5, 20))).toBeUndefined();
});

test("a bird that two phones tapped within two seconds is asked about on the later one only, and not for ever", () => {
  const at = (seconds: number) => START + seconds * SECOND;
  const bird = (seconds: number, device: string) => fact("bird", seconds / 60, { device });
  const [first, second] = [bird(0, "a"), bird(1.9, "b")];
  expect(tappedTwice([first, second], "b", at(5))).toBe(second);
  expect(tappedTwice([first, second], "a", at(5))).toBeUndefined();
  expect(tappedTwice([first, second], "b", at(70))).toBeUndefined();
  expect(tappedTwice([first, bird(2.1, "b")], "b", at(5))).toBeUndefined();
  expect(tappedTwice([first, bird(1, "a")], "a", at(5))).toBeUndefined();
  expect(tappedTwice([first, fact("table", 0.01, { device: "b" })], "b", at(5))).toBeUndefined();
});
