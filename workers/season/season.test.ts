import fc from "fast-check";
import loadHighs from "highs";
import { expect, test, vi } from "vitest";
import { checkSeason } from "#core/season/season-check.ts";
import { greedySeason } from "#core/season/season-greedy.ts";
import type { SeasonProblem } from "#core/season/season-problem.ts";
import { runSeason } from "#workers/season/client.ts";
import { madeUpSeason } from "#workers/season/made-up-season.ts";
import { solveSeason } from "#workers/season/solve-season.ts";

const highs = await loadHighs();
const solve = (problem: SeasonProblem, gap = 0) =>
  solveSeason(highs, problem, { gap, mostSeconds: 20, now: () => performance.now() });
const firmBroken = (problem: SeasonProblem, answer: Parameters<typeof checkSeason>[1]) =>
  checkSeason(problem, answer).broken.filter(({ isFirm }) => isFirm);

const SMALL = { batches: 3, days: 9, window: [5, 9] } as const;
const seed = fc.integer({ min: 1, max: 100_000 });
const runs = { numRuns: 15 };
vi.setConfig({ testTimeout: 60_000 });

test("a season breaks no firm rule, earns no less than the plain way of thinking, and no more than its bound", () => {
  fc.assert(
    fc.property(seed, (of) => {
      const problem = madeUpSeason(of, SMALL);
      const solved = solve(problem, 0.01);
      expect(solved.outcome).toBe("best");
      expect(firmBroken(problem, solved.answer)).toEqual([]);
      expect(firmBroken(problem, greedySeason(problem))).toEqual([]);
      expect(solved.cents).toBeGreaterThanOrEqual(checkSeason(problem, greedySeason(problem)).cents);
      expect(solved.cents).toBeLessThanOrEqual(solved.boundCents! + 1);
      expect(solved.boundCents! - solved.cents).toBeLessThanOrEqual(0.0101 * Math.abs(solved.cents) + 1);
    }),
    runs,
  );
});

test("pins are kept", () => {
  fc.assert(
    fc.property(seed, (of) => {
      const problem = madeUpSeason(of, SMALL);
      const first = solve(problem).answer.placements[0];
      if (!first) return;
      // Somewhere else than where it was best, with half of the birds: there is often room for them.
      const other = problem.groups[first.group]!.options.find(({ day }) => day !== first.day);
      const pin = { group: first.group, day: other?.day ?? first.day, birds: Math.ceil(first.birds / 2) };
      const pinned = { ...problem, pins: [pin] };
      const solved = solve(pinned);
      if (solved.outcome === "mended") return;
      const there = solved.answer.placements.filter(
        ({ group, day }) => group === pin.group && day === pin.day,
      );
      expect(there.reduce((sum, { birds }) => sum + birds, 0)).toBe(pin.birds);
      expect(solved.cents).toBeLessThanOrEqual(solve(problem).cents + 1);
    }),
    runs,
  );
});

test("more room or more people never make a season worse", () => {
  const more = fc.integer({ min: 1, max: 40 });
  fc.assert(
    fc.property(seed, more, (of, extra) => {
      const problem = madeUpSeason(of, SMALL);
      const { room } = problem;
      const cents = solve(problem).cents;
      for (const name of ["rest", "freezer", "eitherRest", "eitherFreezer"] as const) {
        const wider = { ...problem, room: { ...room, [name]: room[name] + extra } };
        expect(solve(wider).cents).toBeGreaterThanOrEqual(cents - 1);
      }
      const crew = problem.days.map((day) => ({ ...day, mostWork: day.mostWork + extra }));
      expect(solve({ ...problem, days: crew }).cents).toBeGreaterThanOrEqual(cents - 1);
    }),
    { numRuns: 6 },
  );
});

/** Two batches, two days, a fridge for 30 birds: every sum can be done by hand. */
const BY_HAND: SeasonProblem = {
  days: [20_000, 20_007].map((number) => ({
    number,
    openCents: 5000,
    mostWork: 40,
    heldWork: 0,
    heldBirds: 0,
  })),
  groups: ["red", "white"].map((name) => ({
    name,
    birds: 30,
    mustBePlaced: true,
    unplacedCents: 0,
    restDays: 2,
    options: [0, 1].map((day) => ({
      day,
      way: "whole" as const,
      centsEach: name === "white" && day === 1 ? 900 : 1000,
      workEach: 1,
      freezerRoomEach: 1,
      isLate: false,
    })),
  })),
  pins: [],
  leastBirds: 10,
  strength: {
    "everyone-placed": { isFirm: true },
    "latest-age": { isFirm: true },
    crew: { isFirm: true },
    "least-birds": { isFirm: true },
    "rest-room": { isFirm: true },
    "freezer-room": { isFirm: true },
    "yearly-cap": { isFirm: true },
  },
  room: {
    rest: 30,
    freezer: 100,
    eitherRest: 0,
    eitherFreezer: 0,
    frozenNow: 0,
    from: 20_000,
    resting: Array(12).fill(0),
    restSlack: Array(12).fill(0),
    freezerSlack: Array(12).fill(0),
    entering: Array(12).fill(0),
    leaving: Array(12).fill(0),
  },
  yearly: [],
};

test("by hand: thirty white first and thirty red a week later earn 600 less two days' cost", () => {
  const { answer, cents } = solve(BY_HAND);
  expect(cents).toBe(60 * 1000 - 2 * 5000);
  expect(answer.placements.map(({ group, day, birds }) => [group, day, birds]).toSorted()).toEqual([
    [0, 1, 30],
    [1, 0, 30],
  ]);
});

test("a place that does both rests nothing while it freezes", () => {
  // The freezer is full and gives 2 birds of room a day; frozen birds of the first day stand in the fridge on the second.
  const torn: SeasonProblem = {
    ...BY_HAND,
    room: { ...BY_HAND.room, rest: 10, eitherRest: 20, freezer: 0, eitherFreezer: 60 },
  };
  const { answer } = solve({
    ...torn,
    strength: { ...torn.strength, "everyone-placed": { isFirm: false, cents: 1 } },
  });
  expect(firmBroken(torn, answer).map(({ rule }) => rule)).not.toContain("rest-room");
  const second = answer.placements.filter(({ day }) => day === 1).reduce((sum, { birds }) => sum + birds, 0);
  expect(second).toBeLessThanOrEqual(10);
});

test("where nothing fits, the fewest rules are given up, and they are named", () => {
  const full = { ...BY_HAND, room: { ...BY_HAND.room, rest: 0 } };
  const solved = solve(full);
  expect(solved.outcome).toBe("mended");
  // Giving up one rule, that every red bird has a day, does not do: white need the fridge too. Both stay without a day.
  expect(firmBroken(full, solved.answer).map(({ rule }) => rule)).toEqual([
    "everyone-placed",
    "everyone-placed",
  ]);

  const pinned = { ...BY_HAND, pins: [{ group: 0, day: 0, birds: 45 }] };
  expect(firmBroken(pinned, solve(pinned).answer).map(({ rule }) => rule)).toEqual(["pin"]);
});

test("the check finds what an answer breaks", () => {
  const put = (group: number, day: number, birds: number) => ({ group, day, way: "whole" as const, birds });
  const broken = (...placements: ReturnType<typeof put>[]) =>
    checkSeason(BY_HAND, { placements }).broken.map(({ rule, by }) => [rule, by]);
  expect(broken(put(0, 0, 30), put(1, 1, 30))).toEqual([]);
  expect(broken(put(0, 0, 30), put(1, 0, 30))).toEqual([
    ["crew", 20],
    ["rest-room", 30],
    ["rest-room", 30],
  ]);
  expect(broken(put(0, 0, 31), put(1, 1, 30))[0]).toEqual(["too-many-birds", 1]);
  expect(broken(put(0, 0, 30), put(1, 1, 25), put(1, 0, 5))[0]).toEqual(["rest-room", 5]);
  expect(broken(put(0, 5, 30), put(1, 1, 30)).map(([rule]) => rule)).toContain("no-such-option");
});

test("the worker answers, tells how it goes, and can be stopped", async () => {
  const heard: number[] = [];
  const problem = madeUpSeason(4, { batches: 8, days: 60, window: [14, 60] });
  const run = runSeason(problem, {
    gap: 0.0001,
    mostSeconds: 60,
    root: process.cwd(),
    onProgress: ({ cents }) => {
      heard.push(cents);
      run.stop();
    },
  });
  const solved = await run.solved;
  expect(solved.outcome).toBe("stopped");
  expect(firmBroken(problem, solved.answer)).toEqual([]);
  expect(heard[0]).toBe(checkSeason(problem, greedySeason(problem)).cents);
  expect(solved.cents).toBeGreaterThanOrEqual(heard[0]!);
});
