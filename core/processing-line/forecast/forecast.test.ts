import fc from "fast-check";
import { expect, test } from "vitest";
import { liveForecast } from "#core/processing-line/forecast/live-forecast.ts";
import { liveMoves } from "#core/processing-line/forecast/live-moves.ts";
import type { MilestoneTap } from "#core/processing-line/forecast/milestone.ts";
import { snapshotOf, takeOver } from "#core/processing-line/forecast/taken-over.ts";
import { watchedDay } from "#core/processing-line/forecast/watched-days-of-tests.ts";
import { weightedQuantiles } from "#core/processing-line/forecast/weighted-quantile.ts";
import { lineContext } from "#core/processing-line/line-context.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import { anyLineDay, lotOf, ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";
import { replicationKey } from "#core/processing-line/line-draws.ts";
import { beginReplication, playOn } from "#core/processing-line/line-run.ts";
import { LineTally, quantile, type Spread } from "#core/processing-line/line-tally.ts";

const DAY: LineDay = { ...ORDINARY_DAY, lots: [lotOf({ birds: 30 })], daySdLn: 0.25 };
const OWN_SEED = 77;
const median = (numbers: number[]) => quantile(Float64Array.from(numbers).sort(), 0.5);
const range = ({ p10, p90 }: Spread) => p90 - p10;

/** What was tapped at the chill until so many birds were in it. */
function untilChill(
  taps: readonly MilestoneTap[],
  count: number,
): { nowMinute: number; taps: MilestoneTap[] } {
  const chills = taps.filter(({ milestone }) => milestone === "chill").slice(0, count);
  return { nowMinute: chills.at(-1)!.minute, taps: chills };
}

test("until the planned start, with nothing tapped, it is the plan on the same luck", () => {
  fc.assert(
    fc.property(anyLineDay, fc.integer(), fc.double({ min: 0, max: 1, noNaN: true }), (day, seed, share) => {
      const tally = new LineTally(day, seed);
      tally.play(40);
      const { lastInChill, finish } = tally.answer();
      const live = liveForecast(day, { nowMinute: share * day.setUpMinutes, taps: [] }, seed, 40);
      for (const name of ["p05", "p10", "p50", "p90", "p95"] as const) {
        expect(live.lastInChill![name]).toBeCloseTo(lastInChill![name], 9);
        expect(live.finish![name]).toBeCloseTo(finish![name], 9);
      }
    }),
    { numRuns: 30 },
  );
});

test("no finish lies before now, and taps of any posts or none give an answer", () => {
  const anyMilestones = fc.subarray(["kill", "dip-in", "dip-out", "table", "chill"] as const);
  fc.assert(
    fc.property(anyLineDay, anyMilestones, fc.integer({ min: 0, max: 400 }), (day, milestones, nowMinute) => {
      const { taps } = watchedDay(day, OWN_SEED, nowMinute);
      const seen = taps.filter(
        ({ minute, milestone }) => minute <= nowMinute && milestones.includes(milestone as never),
      );
      const { lastInChill, finish, chills } = liveForecast(day, { nowMinute, taps: seen }, 1, 60);
      const isDone = seen.filter(({ milestone }) => milestone === "chill").length === birdsOf(day);
      if (!isDone && nowMinute > day.setUpMinutes) expect(lastInChill!.p05).toBeGreaterThanOrEqual(nowMinute);
      if (nowMinute > day.setUpMinutes) expect(finish!.p05).toBeGreaterThanOrEqual(nowMinute);
      expect(chills).toHaveLength(birdsOf(day));
    }),
    { numRuns: 60 },
  );
});

test("with every bird in the chill the first finish is the last chill tap", () => {
  const { taps, lastInChill } = watchedDay(DAY, OWN_SEED, 5);
  const now = untilChill(taps, 30);
  const live = liveForecast(DAY, { ...now, nowMinute: now.nowMinute + 12 }, 1);
  expect(live.lastInChill).toEqual({
    p05: lastInChill,
    p10: lastInChill,
    p50: lastInChill,
    p90: lastInChill,
    p95: lastInChill,
  });
  expect(live.finish!.p10).toBeGreaterThanOrEqual(now.nowMinute + 12);
});

test("the more birds are done, the narrower the range", { timeout: 60_000 }, () => {
  const widths = [3, 15, 27].map((count) =>
    median(
      Array.from({ length: 24 }, (_, replication) =>
        range(
          liveForecast(DAY, untilChill(watchedDay(DAY, OWN_SEED, replication).taps, count), 1, 300)
            .lastInChill!,
        ),
      ),
    ),
  );
  expect(widths[0]).toBeGreaterThan(widths[1]!);
  expect(widths[1]).toBeGreaterThan(widths[2]!);
});

test("more birds done at the same hour is never later, on the median of played days", {
  timeout: 60_000,
}, () => {
  const minute = 100;
  const likely = [-4, -2, 0, 2, 4].map((more) =>
    median(
      Array.from({ length: 15 }, (_, replication) => {
        const { taps } = watchedDay(DAY, OWN_SEED, replication);
        const chills = taps.filter((tap) => tap.milestone === "chill" && tap.minute <= minute);
        // The same birds, or some more or fewer, spread over the same time.
        const count = Math.max(1, chills.length + more);
        const last = chills.at(-1)!.minute;
        const first = chills[0]!.minute;
        const spread = Array.from({ length: count }, (_, bird) => ({
          milestone: "chill" as const,
          minute: first + ((last - first) * (bird + 1)) / count,
          birds: 1,
        }));
        return liveForecast(DAY, { nowMinute: minute, taps: spread }, 1, 300).lastInChill!.p50;
      }),
    ),
  );
  expect(likely).toEqual(likely.toSorted((one, other) => other - one));
});

test("five quick taps promise little: the answer lies between the plan and their pace", () => {
  const plan = liveForecast(DAY, { nowMinute: 0, taps: [] }, 1).lastInChill!.p50;
  const usual = liveForecast(DAY, { nowMinute: 0, taps: [] }, 1).chills;
  const quick = [0, 1, 2, 3, 4].map((bird) => ({
    milestone: "chill" as const,
    minute: usual[bird]!.p50 * 0.8,
    birds: 1,
  }));
  const likely = liveForecast(DAY, { nowMinute: quick[4]!.minute, taps: quick }, 1).lastInChill!.p50;
  expect(likely).toBeLessThan(plan);
  expect(likely).toBeGreaterThan(plan * 0.8);
});

test("a tap after now is refused", () => {
  const taps = [{ milestone: "chill" as const, minute: 30, birds: 1 }];
  expect(() => liveForecast(DAY, { nowMinute: 20, taps }, 1)).toThrow(
    "a tap at minute 30 lies after now, minute 20",
  );
});

test("a replication that is taken over unchanged ends as it would have", () => {
  fc.assert(
    fc.property(anyLineDay, fc.integer({ min: 0, max: 300 }), (day, minute) => {
      const context = lineContext(day, 1);
      const key = replicationKey(1, 4);
      const halt = { minute: Math.max(minute, day.setUpMinutes), count: Infinity, counted: () => 0 };
      beginReplication(context, key, 1);
      playOn(context, key, halt);
      const snapshot = snapshotOf(context);
      playOn(context, key, undefined);
      const other = lineContext({ ...day, people: day.people.toReversed() }, 1);
      if (new Set(day.people.map(({ stations }) => stations.length)).size < day.people.length) return;
      takeOver(
        other,
        { ...snapshot, personOf: snapshot.personOf.map((one) => day.people.length - 1 - one) },
        halt.minute,
      );
      playOn(other, key, undefined);
      expect([...other.state.chilledAt]).toEqual([...context.state.chilledAt]);
    }),
  );
});

test("a move that helps is offered with what it saves, and only where the rules let that person stand", () => {
  const [tobias, maren, ines, oskar] = DAY.people;
  const day: LineDay = {
    ...DAY,
    people: [tobias!, maren!, { ...ines!, stations: ["rinse", "giblets"] }, oskar!],
  };
  const forecast = liveForecast(day, { nowMinute: 0, taps: [] }, 1, 200);
  const free = liveMoves(day, forecast, 1, () => ["gut", "rinse"]);
  expect(free[0]).toMatchObject({ move: { what: expect.stringContaining("-at"), station: "gut" } });
  expect(free[0]!.savedMinutes).toBeGreaterThanOrEqual(3);
  for (const { move } of liveMoves(day, forecast, 1))
    if (move.what === "also-at" || move.what === "only-at")
      expect(day.people.find(({ name }) => name === move.name)!.stations).toContain(move.station);
});

test("weighted quantiles: equal weights give the usual ones, a weight of 2 counts twice, none is refused", () => {
  const anyNumbers = fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), {
    minLength: 1,
    maxLength: 40,
  });
  fc.assert(
    fc.property(anyNumbers, fc.double({ min: 0, max: 1, noNaN: true }), (values, share) => {
      const [got] = weightedQuantiles(
        values.map((value) => ({ value, weight: 0.3 })),
        [share],
      );
      expect(got).toBeCloseTo(quantile(Float64Array.from(values).sort(), share), 4);
    }),
  );
  const half = weightedQuantiles(
    [
      { value: 1, weight: 1 },
      { value: 2, weight: 8 },
      { value: 9, weight: 1 },
    ],
    [0.5],
  );
  expect(half[0]).toBeCloseTo(2, 6);
  expect(() => weightedQuantiles([{ value: 1, weight: 0 }], [0.5])).toThrow("weight is more than 0");
});
