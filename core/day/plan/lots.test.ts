import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { instantOf } from "#core/calendar/farm-time.ts";
import { type DayPlan, dayPlan } from "#core/day/plan/day-plan.ts";
import { BASIS, BATCH, CHOICES, LOT, MEANS, own } from "#core/day/plan/days-of-tests.ts";
import { planInput } from "#core/day/plan/plan-for-date.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";

const start = instantOf("2026-09-19", "07:00", BASIS.timeZone);
const ROOSTERS = {
  ...BATCH,
  batchId: 2,
  name: "Cockerels",
  flock: { ...BATCH.flock, kind: "mature" as const, hatchedOn: "2026-05-30" },
};
const TWIN = { ...BATCH, batchId: 3, name: "White 26-B" };
const STRONG = { ...MEANS, scalder: { ...MEANS.scalder, powerWatts: own(9000) } };

function planOf(lots: readonly Partial<LotChoices>[], pens: readonly string[] = []): DayPlan {
  const batches = [BATCH, ROOSTERS, TWIN].map((batch) => ({
    ...batch,
    pens: pens.map((name) => ({ name, birds: 60 })),
  }));
  return dayPlan(
    planInput({ ...BASIS, batches, means: STRONG }, "2026-09-19", {
      ...CHOICES,
      startAt: start.exists ? start.at : 0,
      breakMinutes: 0,
      lots: lots.map((lot) => ({ ...LOT, ...lot })),
    }),
  );
}
const WHITE = { batchId: 1, birds: 20 };
const COCKERELS = { batchId: 2, birds: 12 };
const feedOff = (plan: DayPlan, batchId: number) =>
  plan.lots.find(({ choices }) => choices.batchId === batchId)!.withdrawal.feedOffAt.value;

describe("a day of two lots", () => {
  test("of the same kind is the day of one lot of their sum: line, ice, and tanks", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }), (one, other) => {
        const two = planOf([{ birds: one }, { batchId: 3, birds: other }]);
        const whole = planOf([{ birds: one + other }]);
        expect(two.line.likelyAt.value).toBe(whole.line.likelyAt.value);
        expect(two.line.answer.chills).toEqual(whole.line.answer.chills);
        expect(two.chill.ice.value).toBeCloseTo(whole.chill.ice.value, 9);
        expect(two.tanks.hours.at(-1)!.meltedKilograms).toBeCloseTo(
          whole.tanks.hours.at(-1)!.meltedKilograms,
          9,
        );
        expect(two.bath.energy.totalKilowattHours).toBeCloseTo(whole.bath.energy.totalKilowattHours!, 1);
      }),
      { numRuns: 10 },
    );
  });

  test("pulls the feed of each for its own kills, so that another order moves both by the hours between them", () => {
    const [first, second] = [planOf([WHITE, COCKERELS]), planOf([COCKERELS, WHITE])];
    for (const [plan, early, late] of [
      [first, 1, 2],
      [second, 2, 1],
    ] as const) {
      const killsFrom = plan.line.answer.kills[plan.lots[1]!.birdsBefore]!.p50 * 60_000;
      // As much later as its first bird is killed later, give or take what a quick or a slow morning asks for.
      const later = feedOff(plan, late) - feedOff(plan, early);
      expect(Math.abs(later - killsFrom)).toBeLessThan(30 * 60_000);
      for (const { withdrawal } of plan.lots) expect(withdrawal.share.tooShort).toBe(0);
    }
    expect(feedOff(first, 2)).toBeGreaterThan(feedOff(second, 2));
    expect(feedOff(first, 1)).toBeLessThan(feedOff(second, 1));
  });

  test("stops the scald for another bath: heated up, or cooled with water from the tap", () => {
    const hot = planOf([WHITE, { ...COCKERELS, scaldMethod: "hot" }]);
    const [, up] = hot.bath.lots;
    // 57 kg of water and 5.7 kJ/K of tank by 9 kW, from 60 to 64 °C: 4 x 244,300 / 9,000 = 109 s, and its losses.
    expect(up!.setting).toMatchObject({ how: "heated", swappedLiters: 0 });
    expect(up!.setting!.seconds).toBeGreaterThan(109);
    expect(up!.setting!.seconds).toBeLessThan(120);
    expect(hot.line.setup.day.lots[1]!.settingMinutes).toBeCloseTo(up!.setting!.seconds / 60, 9);
    const down = planOf([{ ...COCKERELS, scaldMethod: "hot" }, WHITE]).bath.lots[1]!.setting!;
    // 57 l x (64 - 60) / (64 - 12) = 4.38 l at 10 l a minute, and a minute to stir and read.
    expect(down.how).toBe("cold-water-in");
    expect(down.swappedLiters).toBeCloseTo(4.385, 3);
    expect(down.seconds).toBeCloseTo(60 + 26.3, 1);
    expect(planOf([WHITE, COCKERELS]).bath.lots[1]!.setting).toBeUndefined();
  });

  test("that stand in one pen say who is outside by how much, and whether the other order is better", () => {
    const overnight = { ...COCKERELS, withdrawalMethod: "grass_day" as const };
    expect(planOf([WHITE, overnight]).clashes).toEqual([]);
    expect(planOf([WHITE, COCKERELS], ["hill"]).clashes).toEqual([]);
    const [clash, ...others] = planOf([WHITE, overnight], ["hill"]).clashes;
    expect(others).toEqual([]);
    expect(clash).toMatchObject({
      pen: "hill",
      lots: [{ batchName: "White 26-A" }, { batchName: "Cockerels" }],
    });
    const outside = clash!.lots.reduce((sum, { tooShort, tooLong }) => sum + tooShort + tooLong, 0);
    expect(outside).toBe(clash!.outside);
    expect(outside).toBeGreaterThan(0);
    for (const { tooShort, tooLong, shortBy, longBy } of clash!.lots) {
      expect(shortBy > 0).toBe(tooShort > 0);
      expect(longBy > 0).toBe(tooLong > 0);
    }
    expect(clash!.outsideReversed).toBe(planOf([overnight, WHITE], ["hill"]).clashes[0]?.outside ?? 0);
  });
});
