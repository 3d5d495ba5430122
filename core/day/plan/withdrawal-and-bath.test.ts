import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { instantOf } from "#core/calendar/farm-time.ts";
import { dayPlan } from "#core/day/plan/day-plan.ts";
import {
  BASIS,
  BATCH,
  CHOICES,
  choicesOf,
  MEANS,
  type OneLotChoices,
  ofOneLot,
  own,
} from "#core/day/plan/days-of-tests.ts";
import { planInput } from "#core/day/plan/plan-for-date.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";

const start = instantOf("2026-09-19", "07:00", BASIS.timeZone);

function day(
  change: Partial<OneLotChoices> = {},
  means: Partial<FarmMeans> = {},
  pens: { name: string; birds: number }[] = [],
) {
  const basis = { ...BASIS, batches: [{ ...BATCH, pens }], means: { ...MEANS, ...means } };
  const usual = { ...CHOICES, startAt: start.exists ? start.at : 0, breakMinutes: 0 };
  return ofOneLot(dayPlan(planInput(basis, "2026-09-19", choicesOf(usual, { birds: 24, ...change }))));
}

describe("pulling the feed", () => {
  test("by the four schools counts every bird once, and takes more weight the longer it lasts", () => {
    const { methods } = day();
    expect(methods.map(({ method }) => method)).toEqual(["short", "overnight", "grass_day", "grain_day"]);
    for (const { share } of methods) expect(share.tooShort + share.tooLong).toBeLessThanOrEqual(24);
    const [short, overnight] = methods;
    expect(overnight!.feedOffAt).toBeLessThan(short!.feedOffAt);
    expect(overnight!.shrinkKilograms).toBeGreaterThan(short!.shrinkKilograms);
    for (const { shrinkKilograms, tissueKilograms } of methods)
      expect(tissueKilograms).toBeLessThanOrEqual(shrinkKilograms);
  });

  test("in more walks never leaves more birds outside, and no later pen is shut off before an earlier one", () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 60 }), fc.integer({ min: 1, max: 6 }), (birds, people) => {
        const { visits, pens } = day({ birds, people });
        expect(pens.reduce((sum, pen) => sum + pen.birds, 0)).toBe(birds);
        for (const [index, visit] of visits.entries()) {
          const { feedOffAtByPen } = visit;
          expect(feedOffAtByPen).toEqual(feedOffAtByPen.toSorted((one, other) => one - other));
          const before = visits[index - 1];
          // Three birds too full are worth one too long.
          const cost = ({ tooShort, tooLong }: { tooShort: number; tooLong: number }) =>
            3 * tooShort + tooLong;
          if (before) expect(cost(visit)).toBeLessThanOrEqual(cost(before));
        }
      }),
      { numRuns: 12 },
    );
  });

  test("into unlit pens is walked at dusk or at first light, never between", () => {
    const { visits, withdrawal } = day({}, { arePensLit: false });
    // Dusk of the evening before and dawn of the day, civil, at the farm: 19:17 and 06:01.
    const [dusk, dawn] = [-11.7, -0.95].map((hours) => (start.exists ? start.at : 0) + hours * 3_600_000);
    for (const { feedOffAtByPen, tooShort, tooLong } of visits) {
      for (const at of feedOffAtByPen) expect(at < dusk! + 120_000 || at > dawn!).toBe(true);
      expect(tooShort + tooLong).toBeLessThanOrEqual(24);
    }
    // One walk is the plan's own, but for what is kept in hand against an early start.
    expect(Math.abs(visits[0]!.feedOffAtByPen[0]! - withdrawal.feedOffAt.value)).toBeLessThan(31 * 60_000);
  });

  test("follows the farm's own pens where all of the birds stand in them", () => {
    const penned = [
      { name: "east", birds: 10 },
      { name: "west", birds: 14 },
    ];
    expect(day({}, {}, penned).pens).toEqual(penned);
    expect(day({ birds: 20 }, {}, penned).pens).toHaveLength(3);
  });

  test("catches every bird once, in crates of ten, before it is killed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 70 }), (birds) => {
        const { catching, line } = day({ birds });
        expect(catching.reduce((sum, round) => sum + round.birds, 0)).toBe(birds);
        for (const round of catching) {
          expect(round.crates).toBe(Math.ceil(round.birds / 10));
          expect(round.at).toBeLessThan(line.likelyAt.value);
        }
      }),
      { numRuns: 10 },
    );
  });
});

describe("the bath on the day", () => {
  const bath = (watts: number, change: Partial<OneLotChoices> = {}) =>
    day(change, { scalder: { ...MEANS.scalder, powerWatts: own(watts) } }).bath;

  test("with more power holds no fewer birds, sags no lower, and fails no sooner", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1500, max: 4000 }),
        fc.integer({ min: 200, max: 2000 }),
        (watts, more) => {
          const [less, better] = [bath(watts), bath(watts + more)];
          expect(better.heldBirdsPerHour).toBeGreaterThanOrEqual(less.heldBirdsPerHour);
          expect(better.lowestBelow).toBeLessThanOrEqual(less.lowestBelow + 1e-9);
          expect(better.failsAtBird ?? Infinity).toBeGreaterThanOrEqual(less.failsAtBird ?? Infinity);
        },
      ),
      { numRuns: 10 },
    );
  });

  test("that can't keep up names a bird of the day and a way out that is enough; one that can names none", () => {
    const weak = bath(1300, { birds: 40, people: 8 });
    expect(weak.failsAtBird).toBeGreaterThan(0);
    expect(weak.failsAtBird).toBeLessThanOrEqual(40);
    expect(weak.remedies.some(({ isEnough }) => isEnough)).toBe(true);
    expect(weak.remedies.at(-1)).toMatchObject({ what: "more-power", isEnough: true });
    const strong = bath(9000);
    expect(strong).toMatchObject({ failsAtBird: undefined, remedies: [] });
  });

  test("at its lowest needs a longer dip than at its setting, and a weak one leaves feathers on after the usual time", () => {
    const [strong, weak] = [bath(9000), bath(1300, { birds: 40, people: 8 })];
    expect(strong.coldest.afterUsual.verdict).toBe("good");
    expect(weak.coldest.afterUsual).toMatchObject({ verdict: "under" });
    expect(weak.coldest.seconds ?? Infinity).toBeGreaterThan(strong.coldest.seconds!);
    expect(bath(9000, { scaldMethod: "gentle" }).coldest.isCuticleLikelyKept).toBe(true);
    expect(strong.coldest.isCuticleLikelyKept).toBe(false);
  });

  test("changed every so many birds is changed between them, not after the last", () => {
    expect(bath(4000, { changeWaterBirds: 12 }).waterChanges.count).toBe(1);
    expect(bath(4000, { changeWaterBirds: 8 }).waterChanges.count).toBe(2);
    expect(bath(4000).waterChanges.count).toBe(0);
  });
});
