import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { cents } from "#core/quantity/quantity.ts";
import { seededRandom } from "#core/quantity/seeded-random.ts";
import { chicksFor, servingsOfBird } from "#core/sharing/birds-at-home.ts";
import { shareParts } from "#core/sharing/share-basis.ts";
import { shareCost } from "#core/sharing/share-cost.ts";
import { fairShare, gapsOf } from "#core/sharing/share-fair.ts";
import { weeksLeft } from "#core/sharing/weeks-left.ts";

const fair = (weights: readonly number[], birdsEach: readonly number[], closeEnough = 0) =>
  fairShare(weights, shareParts(weights, birdsEach, "birds"), closeEnough, seededRandom(3));

describe("birds are shared", () => {
  test("two and two of four: the lightest goes with the heaviest", () => {
    // 1 + 4 and 2 + 3 are 5 each.
    const { partOf, largestGap } = fair([1, 2, 3, 4], [2, 2]);
    expect(largestGap).toBe(0);
    expect(partOf[0]).toBe(partOf[3]);
    expect(partOf[1]).toBe(partOf[2]);
  });

  test("everyone gets as many birds as they should, the gaps are what was said, and none is fairer for a few birds", () => {
    const weights = fc.array(fc.integer({ min: 900, max: 4200 }), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(weights, fc.nat(), (all, seed) => {
        const first = 1 + (seed % (all.length - 1));
        const birdsEach = [first, all.length - first];
        const { partOf, largestGap, isExact } = fair(all, birdsEach);
        expect(isExact).toBe(true);
        birdsEach.forEach((birds, part) => {
          expect(partOf.filter((one) => one === part)).toHaveLength(birds);
        });
        const gaps = gapsOf(all, shareParts(all, birdsEach, "birds"), partOf);
        expect(Math.max(...gaps.map(Math.abs))).toBeCloseTo(largestGap, 6);
        // Every other way: each set of birds of the first, by the bits of a number.
        const mean = all.reduce((sum, weight) => sum + weight, 0) / all.length;
        for (let set = 0; set < 1 << all.length; set += 1) {
          const own = all.filter((_, bird) => (set >> bird) & 1);
          if (own.length !== first) continue;
          const gap = Math.abs(own.reduce((sum, weight) => sum + weight, 0) - first * mean);
          expect(gap).toBeGreaterThanOrEqual(largestGap - 1e-6);
        }
      }),
      { numRuns: 40 },
    );
  });

  test("two hundred birds among six households come to less than a step of the scale", () => {
    const random = seededRandom(11);
    const weights = Array.from({ length: 200 }, () => Math.round(1600 + 900 * random() + 400 * random()));
    const birdsEach = [60, 50, 40, 25, 15, 10];
    const { partOf, largestGap } = fair(weights, birdsEach, 5);
    expect(largestGap).toBeLessThan(5);
    birdsEach.forEach((birds, part) => {
      expect(partOf.filter((one) => one === part)).toHaveLength(birds);
    });
  });

  test("by a share of the weight, whoever bears more gets more", () => {
    // A third and two thirds of 12 kg: 4 and 8 kg of birds of 1, 2, 3, 3, 3.
    const weights = [1, 2, 3, 3, 3];
    const parts = shareParts(weights, [1, 2], "weight");
    expect(parts).toEqual([
      { birds: 2, target: 4 },
      { birds: 3, target: 8 },
    ]);
    const { partOf, largestGap } = fairShare(weights, parts, 0, seededRandom(1));
    expect(largestGap).toBe(0);
    expect(partOf.filter((part) => part === 0)).toHaveLength(2);
  });

  test("there must be as many birds as are given away", () => {
    expect(() => fair([1, 2, 3], [1, 1])).toThrow("3 birds to share, got 2");
    expect(() => fair([], [])).toThrow("must be a bird to share");
  });
});

test("each kind of cost adds up to the cent", () => {
  fc.assert(
    fc.property(
      fc.record({ feed: fc.nat(900_000), chicks: fc.nat(90_000), other: fc.nat(50_000) }),
      fc.array(fc.integer({ min: 1, max: 80 }), { minLength: 1, maxLength: 7 }),
      ({ feed, chicks, other }, birds) => {
        const cost = { feed: cents(feed), chicks: cents(chicks), other: cents(other) };
        const parts = shareCost(cost, birds);
        for (const name of ["feed", "chicks", "other"] as const)
          expect(parts.reduce((sum, part) => sum + part[name], 0)).toBe(cost[name]);
      },
    ),
  );
  expect(shareCost({ feed: cents(100) }, [1, 1, 1])).toEqual([{ feed: 34 }, { feed: 33 }, { feed: 33 }]);
});

test("a bird of 2 kg is nine servings, and a hundred birds take a hundred and nine chicks", () => {
  // 2 x 0.66 x 0.75 / 0.115 = 8.6; 100 / 0.99^8 = 108.4.
  expect([servingsOfBird(2), servingsOfBird(0.01), chicksFor(100), chicksFor(0)]).toEqual([9, 1, 109, 0]);
});

test("weeks left count cuts as birds, and there is no answer for those who eat none", () => {
  const setting = (value: number) => ({ value, provenance: "farm-setting" as const });
  const stock = { wholeBirds: 10, cutKilograms: 4, kilogramsPerBird: setting(2) };
  // 10 + 4 / 2 = 12 birds; at one every two weeks 24 weeks; a year takes 26, so 14 are missing.
  const left = weeksLeft({ ...stock, birdsPerWeek: setting(0.5) });
  expect([left.birds.value, left.weeks?.value, left.shortForYear]).toEqual([12, 24, 14]);
  expect(weeksLeft({ ...stock, birdsPerWeek: setting(0) }).weeks).toBeUndefined();
  expect(weeksLeft({ ...stock, birdsPerWeek: setting(0.1) }).shortForYear).toBe(0);
  expect(() => weeksLeft({ ...stock, kilogramsPerBird: setting(0), birdsPerWeek: setting(1) })).toThrow(
    "must weigh more than 0 kg, got 0",
  );
});
