import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { crewReach } from "#core/day/crew/crew-reach.ts";
import { OUR_PACE, ownPace, paceReckoning } from "#core/day/crew/own-pace.ts";
import { helper, MEANS } from "#core/day/plan/days-of-tests.ts";

const day = (tookMinutes: number, predictedMinutes = 200) => ({ tookMinutes, predictedMinutes });

describe("a farm's own pace", () => {
  test("by hand: one day half as long again draws our 1 by two thirds of the way in logarithms", () => {
    // 1 / 0.25² = 16 of ours against 1 / 0.18² = 30.86 of the day.
    const pace = ownPace([day(300)]);
    expect(Math.log(pace.factor)).toBeCloseTo((30.8642 / 46.8642) * Math.log(1.5), 5);
    expect(pace.factorSdLn).toBeCloseTo(1 / Math.sqrt(46.8642), 5);
  });

  test("is ours before the first day, and has no working then", () => {
    expect(ownPace([])).toBe(OUR_PACE);
    expect(paceReckoning(OUR_PACE)).toBeUndefined();
    expect(paceReckoning(ownPace([day(300)]))!.inputs[0]).toMatchObject({ name: "your-own-days", value: 1 });
  });

  test("lies between ours and its days, and nearer to them the more there are", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.01, max: 2, noNaN: true }),
        fc.integer({ min: 1, max: 8 }),
        (ratio, days) => {
          const of = (count: number) => ownPace(Array.from({ length: count }, () => day(200 * ratio))).factor;
          expect(of(days)).toBeGreaterThan(1);
          expect(of(days)).toBeLessThan(ratio);
          expect(of(days + 1)).toBeGreaterThan(of(days));
        },
      ),
    );
  });

  test("leaves out a day whose taps can't be how it went: all at once, or forgotten until the evening", () => {
    for (const took of [0, 2, 49, 801, Number.POSITIVE_INFINITY, Number.NaN]) {
      expect(ownPace([day(took)])).toBe(OUR_PACE);
      expect(ownPace([day(took), day(300)])).toEqual(ownPace([day(300)]));
    }
    expect(ownPace([day(60)]).days).toBe(1);
    expect(ownPace([day(10, 0)])).toBe(OUR_PACE);
  });

  test("narrows the spread of days where they are alike, and widens it where they are not", () => {
    const alike = ownPace(Array.from({ length: 6 }, () => day(200)));
    const unlike = ownPace([100, 400, 120, 350, 90, 420].map((took) => day(took)));
    expect(OUR_PACE.daySdLn).toBe(0.25);
    // By hand: 4 days of 0.25² and 6 that all took as long as ours, which are 0.
    expect(alike.daySdLn).toBeCloseTo(Math.sqrt((4 * 0.25 ** 2) / 10), 6);
    expect(unlike.daySdLn).toBeGreaterThan(0.3);
  });
});

describe("what a crew can do", () => {
  const reach = (people: number, minutes: number, factor = 1) =>
    crewReach({
      helpers: Array.from({ length: people }, (_, index) => helper(index + 1)),
      means: { ...MEANS, pluckAtOnce: 2, ownPace: { ...OUR_PACE, factor } },
      cones: 4,
      tablePlaces: 3,
      minutes,
      year: 2026,
    });

  test("grows with its hands and its time, shrinks with its pace, and is nothing in no time", () => {
    expect(reach(0, 300)).toBe(0);
    expect(reach(3, 5)).toBe(0);
    const [three, five] = [reach(3, 240), reach(5, 240)];
    expect(three).toBeGreaterThan(15);
    expect(five).toBeGreaterThan(three);
    expect(reach(3, 300)).toBeGreaterThan(three);
    expect(reach(3, 240, 1.3)).toBeLessThan(three);
  });
});
