import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { programBuilder } from "#core/season/linear-program.ts";
import { checkSeason } from "#core/season/season-check.ts";
import { greedySeason } from "#core/season/season-greedy.ts";
import { seasonModel } from "#core/season/season-model.ts";
import { moveOf, movesOf, nextBest, ruleSums } from "#core/season/season-moves.ts";
import type { GroupOption, Placement, SeasonProblem, Strength } from "#core/season/season-problem.ts";

const FIRST = 20_000;
const firm: Strength = { isFirm: true };
const wish = (cents: number): Strength => ({ isFirm: false, cents });
const option = (day: number, centsEach: number, change: Partial<GroupOption> = {}): GroupOption => ({
  day,
  way: "whole",
  centsEach,
  workEach: 1,
  freezerRoomEach: 1,
  isLate: false,
  ...change,
});

/** One batch of twenty, four days of a week each, room for all. */
function season(
  change: Partial<SeasonProblem> = {},
  room: Partial<SeasonProblem["room"]> = {},
): SeasonProblem {
  const length = 26;
  const none = Array<number>(length).fill(0);
  return {
    days: [0, 7, 14, 21].map((day) => ({
      number: FIRST + day,
      openCents: 3000,
      mostWork: 30,
      heldWork: 0,
      heldBirds: 0,
    })),
    groups: [
      {
        name: "white",
        birds: 20,
        mustBePlaced: true,
        unplacedCents: 0,
        restDays: 2,
        options: [option(0, 900), option(1, 1000), option(2, 1050), option(3, 1000, { isLate: true })],
      },
    ],
    pins: [],
    leastBirds: 0,
    strength: {
      "everyone-placed": wish(2000),
      "latest-age": wish(100),
      crew: firm,
      "least-birds": firm,
      "rest-room": firm,
      "freezer-room": firm,
      "yearly-cap": firm,
    },
    yearly: [],
    ...change,
    room: {
      rest: 50,
      freezer: 50,
      eitherRest: 0,
      eitherFreezer: 0,
      frozenNow: 0,
      from: FIRST,
      resting: none,
      entering: none,
      restSlack: none,
      freezerSlack: none,
      leaving: none,
      ...room,
    },
  };
}
const put = (day: number, birds: number, change: Partial<Placement> = {}): Placement => ({
  group: 0,
  day,
  way: "whole",
  birds,
  ...change,
});
const check = (problem: SeasonProblem, ...placements: Placement[]) => checkSeason(problem, { placements });
const broken = (problem: SeasonProblem, ...placements: Placement[]) =>
  check(problem, ...placements).broken.map(({ rule, by }) => [rule, by]);

describe("a season is walked through day by day", () => {
  test("by hand: twenty birds at 10.50 on one day, less that day", () => {
    expect(check(season(), put(2, 20))).toMatchObject({ cents: 20 * 1050 - 3000, broken: [] });
  });

  test("by hand: split over two days they pay for both, and those past their age for that wish", () => {
    expect(check(season(), put(2, 12), put(3, 8)).cents).toBe(12 * 1050 + 8 * 1000 - 2 * 3000 - 8 * 100);
  });

  test("by hand: five without a day cost their wish", () => {
    const { cents, broken: given } = check(season(), put(2, 15));
    expect(cents).toBe(15 * 1050 - 3000 - 5 * 2000);
    expect(given).toMatchObject([{ rule: "everyone-placed", by: 5, cents: 10_000, group: 0 }]);
  });

  test("a day that is held anyhow is paid for already, and its crew is busy", () => {
    const days = season().days.map((day, index) =>
      index === 2 ? { ...day, heldBirds: 25, heldWork: 25 } : day,
    );
    expect(check(season({ days }), put(2, 5), put(1, 15)).cents).toBe(5 * 1050 + 15 * 1000 - 3000);
    expect(broken(season({ days }), put(2, 20))).toEqual([["crew", 15]]);
  });

  test("cut-up birds are more work, and take less room in the freezer", () => {
    const cut = { way: "cut" as const, workEach: 2, freezerRoomEach: 0.5 };
    const groups = [{ ...season().groups[0]!, options: [option(1, 1000), option(1, 1200, cut)] }];
    const tight = season({ groups }, { freezer: 10 });
    expect(broken(tight, put(1, 20, { way: "cut" }))).toEqual([["crew", 10]]);
    expect(broken(tight, put(1, 15, { way: "cut" }), put(1, 0)).map(([rule]) => rule)).toEqual([
      "everyone-placed",
    ]);
    expect(ruleSums(check(tight, put(1, 20)).broken)).toMatchObject([{ rule: "freezer-room", most: 10 }]);
  });

  test("birds rest from the day of the kill, are frozen after it, and leave one by one", () => {
    const leaving = Array<number>(26).fill(2);
    const { resting, frozen } = check(season({}, { leaving, frozenNow: 4 }), put(1, 20));
    expect(resting.slice(6, 11)).toEqual([0, 20, 20, 0, 0]);
    expect(frozen.slice(0, 4)).toEqual([2, 0, 0, 0]);
    expect(frozen.slice(8, 12)).toEqual([0, 18, 16, 14]);
  });

  test("the year's cap counts the days of that year alone", () => {
    const yearly = [
      { fromDay: FIRST - 100, toDay: FIRST + 10, birds: 12 },
      { fromDay: FIRST + 11, toDay: FIRST + 300, birds: 100 },
    ];
    expect(broken(season({ yearly }), put(1, 20))).toEqual([["yearly-cap", 8]]);
    expect(broken(season({ yearly }), put(2, 20))).toEqual([]);
  });

  test("too few birds are not worth a day, unless it is held anyhow", () => {
    expect(broken(season({ leastBirds: 15 }), put(1, 8), put(2, 12))).toEqual([
      ["least-birds", 7],
      ["least-birds", 3],
    ]);
    const days = season().days.map((day) => ({ ...day, heldBirds: 10, heldWork: 10 }));
    expect(broken(season({ leastBirds: 15, days }), put(1, 8), put(2, 12))).toEqual([]);
  });

  test("a pin that is not kept is broken, and one that is, is not", () => {
    const pins = [{ group: 0, day: 1, birds: 8 }];
    expect(broken(season({ pins }), put(2, 20))).toEqual([["pin", 8]]);
    expect(broken(season({ pins }), put(1, 8), put(2, 12))).toEqual([]);
  });

  test("what set days alone take past a room is forgiven, and no bird more", () => {
    const over = (birds: number) => Array<number>(26).fill(birds);
    const full = season({}, { resting: over(60), restSlack: over(10) });
    expect(broken(full)).toEqual([["everyone-placed", 20]]);
    expect(broken(full, put(1, 20)).filter(([rule]) => rule === "rest-room")).toEqual([
      ["rest-room", 20],
      ["rest-room", 20],
    ]);
  });

  test("a place that does both takes whichever costs less to give up", () => {
    const frozen = { freezer: 0, frozenNow: 10, eitherRest: 30, eitherFreezer: 30, rest: 0 };
    const priced = (rest: number, freezer: number) =>
      season(
        { strength: { ...season().strength, "rest-room": wish(rest), "freezer-room": wish(freezer) } },
        frozen,
      );
    // Resting 20 for two nights against keeping 10 frozen.
    expect(check(priced(1, 100), put(1, 20)).isEitherFrozen[7]).toBe(true);
    expect(check(priced(100, 1), put(1, 20)).isEitherFrozen[7]).toBe(false);
  });
});

describe("moving birds", () => {
  const answer = { placements: [put(1, 20)] };

  test("says what gets better and worse, and by how much", () => {
    const late = moveOf(season(), answer, 0, 1, 3)!;
    expect(late).toMatchObject({ birds: 20, cents: -20 * 100, repairs: [] });
    expect(late.breaks).toMatchObject([{ rule: "latest-age", by: 20, cents: 2000 }]);
    const back = moveOf(season(), late.answer, 0, 3, 1)!;
    expect(back.repairs).toMatchObject([{ rule: "latest-age", by: 20 }]);
    expect(back.cents).toBe(2000);
  });

  test("goes only where a batch has an option, and takes its pin along", () => {
    expect(moveOf(season(), answer, 0, 1, 9)).toBeUndefined();
    expect(moveOf(season(), answer, 0, 0, 2)).toBeUndefined();
    const pinned = season({ pins: [{ group: 0, day: 1, birds: 20 }] });
    expect(moveOf(pinned, answer, 0, 1, 2)).toMatchObject({ cents: 20 * 50, breaks: [], repairs: [] });
  });

  test("the next best breaks no firm rule", () => {
    const days = season().days.map((day, index) => ({ ...day, mostWork: index === 1 ? 30 : 5 }));
    const moves = movesOf(season({ days }), answer, 0, 1);
    expect(moves.map(({ toDay }) => toDay)).toEqual([0, 2, 3]);
    expect(moves.every(({ breaks }) => breaks.some(({ isFirm }) => isFirm))).toBe(true);
    expect(nextBest(moves)).toBeUndefined();
    expect(nextBest(movesOf(season(), answer, 0, 1))?.toDay).toBe(2);
  });

  test("birds that meet others of their batch stand with them", () => {
    const split = { placements: [put(1, 12), put(2, 8)] };
    expect(moveOf(season(), split, 0, 1, 2)!.answer.placements).toEqual([put(2, 20)]);
  });
});

test("the plain way of thinking puts everyone on the day that pays best, and around a pin", () => {
  expect(greedySeason(season()).placements).toEqual([put(2, 20)]);
  const pinned = greedySeason(season({ pins: [{ group: 0, day: 0, birds: 12 }] }));
  expect(pinned.placements).toContainEqual(put(0, 12));
  expect(pinned.placements.reduce((sum, { birds }) => sum + birds, 0)).toBe(20);
});

describe("the program", () => {
  test("reads whole birds out of a solver's 19.9999999, and starts it from an answer", () => {
    const model = seasonModel(season(), { aim: "value" });
    const { indices, values } = model.startFrom({ placements: [put(2, 20)] });
    const columns = new Float64Array(model.program.cost.length);
    indices.forEach((column, index) => {
      columns[column] = values[index]! - (values[index]! > 1 ? 1e-7 : 0);
    });
    expect(model.answerOf(columns)).toEqual({ placements: [put(2, 20)] });
  });

  test("holds every answer that the walk allows, and none that it does not", () => {
    const problem = season({ leastBirds: 4 }, { rest: 15, freezer: 18 });
    const { program, startFrom } = seasonModel(problem, { aim: "value" });
    const answer = fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(answer, (birds) => {
        const placements = birds.map((count, day) => put(day, count)).filter(({ birds: count }) => count > 0);
        const walk = checkSeason(problem, { placements });
        const isAllowed = !walk.broken.some(({ isFirm }) => isFirm);
        const start = startFrom({ placements });
        expect(fits(program, start, walk.frozen)).toBe(isAllowed);
      }),
      { numRuns: 300 },
    );
  });

  test("never names a column twice in a row: solvers drop such a row without a word", () => {
    const build = programBuilder();
    const column = build.column({});
    expect(() =>
      build.row(0, 1, [
        [column, 1],
        [column, 2],
      ]),
    ).toThrow("must name a column once");
  });

  /**
   * Whether birds and days can be completed to a point of the program: columns without a whole number are the birds
   * left over (which take up the slack of their row), and the freezer's contents, which the walk gives.
   */
  function fits(
    program: ReturnType<typeof seasonModel>["program"],
    { indices, values }: { indices: Int32Array; values: Float64Array },
    frozen: readonly number[],
  ): boolean {
    const columns = new Float64Array(program.cost.length).fill(Number.NaN);
    indices.forEach((column, index) => {
      columns[column] = values[index]!;
    });
    const free = [...columns.keys()].filter((column) => Number.isNaN(columns[column]!));
    // In the order in which they are made: left over, over a wish, then the freezer from day to day.
    const placed = [...values].slice(0, 4).reduce((sum, value) => sum + value, 0);
    const leftOver = Math.max(0, 20 - placed);
    if (placed > 20) return false;
    const freezer = free.slice(-frozen.length);
    for (const column of free) columns[column] = leftOver;
    freezer.forEach((column, at) => {
      columns[column] = frozen[at]!;
    });
    for (let column = 0; column < columns.length; column += 1)
      if (
        columns[column]! > program.upper[column]! + 1e-9 ||
        columns[column]! < program.lower[column]! - 1e-9
      )
        return false;
    for (let row = 0; row < program.rowLower.length; row += 1) {
      let sum = 0;
      for (let at = program.starts[row]!; at < program.starts[row + 1]!; at += 1)
        sum += program.values[at]! * columns[program.indices[at]!]!;
      if (sum > program.rowUpper[row]! + 1e-6 || sum < program.rowLower[row]! - 1e-6) return false;
    }
    return true;
  }
});
