import fc from "fast-check";
import { expect, test } from "vitest";
import { allot } from "#core/cost/allot.ts";
import { feedUsed, splitBatchCost } from "#core/cost/batch-cost.ts";
import { feedPerKilogramSold } from "#core/cost/feed-sold.ts";
import { kitShare } from "#core/cost/kit-share.ts";
import { productCosts } from "#core/cost/product-cost.ts";
import { wholeOrCut } from "#core/cost/whole-or-cut.ts";
import { cents } from "#core/quantity/quantity.ts";

const weights = fc
  .array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 30 })
  .filter((all) => all.some((weight) => weight > 0));
const amount = fc.integer({ min: 0, max: 5_000_000 }).map(cents);

test("100 cents over three equal parts is 34, 33 and 33", () => {
  expect(allot(cents(100), [1, 1, 1])).toEqual([34, 33, 33]);
  expect(allot(cents(5), [0, 3, 1])).toEqual([0, 4, 1]);
});

test("parts add up to the whole to the cent, and none is more than a cent from its fair share", () => {
  fc.assert(
    fc.property(amount, weights, (total, by) => {
      const parts = allot(total, by);
      const sum = by.reduce((running, weight) => running + weight, 0);
      expect(parts.reduce((running, part) => running + part, 0)).toBe(total);
      parts.forEach((part, index) => {
        expect(Math.abs(part - (total * by[index]!) / sum)).toBeLessThan(1);
      });
    }),
  );
});

test("there must be something to split by", () => {
  expect(() => allot(cents(10), [0, 0])).toThrow("not all 0, got 0, 0");
  expect(() => allot(cents(10), [1, -1])).toThrow("must not be negative");
});

test("a batch's cost is borne by all its birds up to the cent, and older birds bear more feed", () => {
  const share = fc.record({
    birds: fc.integer({ min: 1, max: 200 }),
    feedKilogramsEach: fc.double({ min: 0, max: 12, noNaN: true }),
  });
  fc.assert(
    fc.property(
      amount,
      amount,
      amount,
      fc.array(share, { minLength: 1, maxLength: 5 }),
      (chicks, feed, other, shares) => {
        const parts = splitBatchCost({ chicks, feed, other }, shares);
        const sum = (of: "chicks" | "feed" | "other") =>
          parts.reduce((running, part) => running + part[of], 0);
        expect([sum("chicks"), sum("feed"), sum("other")]).toEqual([chicks, feed, other]);
        expect(parts.reduce((running, part) => running + part.feedFraction, 0)).toBeCloseTo(1, 9);
      },
    ),
  );
  const [young, old] = splitBatchCost({ chicks: cents(0), feed: cents(900), other: cents(0) }, [
    { birds: 10, feedKilogramsEach: 3 },
    { birds: 10, feedKilogramsEach: 6 },
  ]);
  expect([young!.feed, old!.feed]).toEqual([300, 600]);
});

test("feed left in the bag is stock at the mean price, not the batch's cost", () => {
  const bought = [
    { bags: 2, bagKilograms: 25, bagPriceCents: 2000 },
    { bags: 2, bagKilograms: 25, bagPriceCents: 2200 },
  ];
  expect(feedUsed(bought, 10)).toEqual({
    kilograms: 90,
    cents: 7560,
    boughtKilograms: 100,
    leftKilograms: 10,
  });
  expect(feedUsed([], 0).cents).toBe(0);
  expect(() => feedUsed(bought, 101)).toThrow("not be more than the 100 kg bought, got 101");
});

test("by-products are taken off what the birds cost, and the rest goes to the cuts by value or weight, to the cent", () => {
  const cut = (name: string, kilograms: number, centsPerKilogram: number, ownCents = 0) => ({
    name,
    kilograms,
    centsPerKilogram,
    ownCents: cents(ownCents),
  });
  // Livers bring 2 x 400 = 800, less 100 for their bags: 700. 10,000 - 700 = 9,300 over 6,000 and 3,000 of value.
  const cuts = [cut("wings", 5, 600, 50), cut("breasts", 4, 1500, 20)];
  const livers = [cut("livers", 2, 400, 100)];
  const byValue = productCosts(cents(10_000), cuts, livers, "value");
  expect([byValue.creditCents, byValue.jointAfterCreditCents, byValue.incomeCents]).toEqual([700, 9300, 0]);
  expect(byValue.products.map(({ jointCents, cents: all }) => [jointCents, all])).toEqual([
    [3100, 3150],
    [6200, 6220],
  ]);
  expect(byValue.products[1]!.costPerKilogram).toBe(1555);
  // By weight 5 to 4: 5,166.67 and 4,133.33.
  const byWeight = productCosts(cents(10_000), cuts, livers, "weight");
  expect(byWeight.products.map(({ jointCents }) => jointCents)).toEqual([5167, 4133]);
  // Without prices value is no basis.
  const unpriced = cuts.map((one) => ({ ...one, centsPerKilogram: 0 }));
  expect(productCosts(cents(10_000), unpriced, [], "value").products[0]!.jointCents).toBe(5556);
  // Livers worth more than the birds cost are income.
  expect(productCosts(cents(500), cuts, livers, "value")).toMatchObject({
    jointAfterCreditCents: 0,
    incomeCents: 200,
  });
  // Equal parts: the first in the alphabet takes the odd cent.
  const equal = productCosts(cents(101), [cut("b", 1, 1), cut("a", 1, 1)], [], "value");
  expect(equal.products.map(({ jointCents }) => jointCents)).toEqual([50, 51]);
});

test("whatever came of the birds, the parts and the credit add up to what they cost", () => {
  const product = fc.record({
    name: fc.string({ minLength: 1, maxLength: 4 }),
    kilograms: fc.double({ min: 0.1, max: 60, noNaN: true }),
    centsPerKilogram: fc.nat(3000),
    ownCents: fc.nat(900).map(cents),
  });
  fc.assert(
    fc.property(
      amount,
      fc.array(product, { minLength: 1, maxLength: 6 }),
      fc.array(product, { maxLength: 3 }),
      fc.constantFrom("value" as const, "weight" as const),
      (joint, cuts, others, basis) => {
        const costs = productCosts(joint, cuts, others, basis);
        const shared = costs.products.reduce((sum, { jointCents }) => sum + jointCents, 0);
        expect(shared).toBe(costs.jointAfterCreditCents);
        expect(shared + costs.creditCents - costs.incomeCents).toBe(joint);
      },
    ),
  );
});

test("a bird is worth more cut up where its cuts bring more than the work and the bags cost", () => {
  const bird = { kind: "fast", dressedKilograms: 2, liveKilograms: 2.8 } as const;
  // Leg quarters are 31 % and wings 10 % of it: 0.62 kg at 1,000 and 0.2 kg at 1,500 are 620 + 300 = 920.
  const cuts = [
    { product: "leg-quarter", centsPerKilogram: 1000 },
    { product: "wing", centsPerKilogram: 1500 },
    { product: "back", centsPerKilogram: undefined },
  ] as const;
  const work = { minutes: 6, centsAnHour: 1500, bagCents: 50 };
  const cheap = wholeOrCut(bird, 300, cuts, work);
  // 920 - 150 - 50 = 720, against 600 whole.
  expect([cheap.wholeCents, cheap.laborCents, cheap.unpriced]).toEqual([600, 150, ["back"]]);
  expect(cheap.cutCents).toBeCloseTo(920, 9);
  expect(cheap.gainCents).toBeCloseTo(120, 9);
  expect(cheap.evenCentsPerKilogram).toBeCloseTo(360, 9);
  expect(wholeOrCut(bird, 400, cuts, work).gainCents).toBeLessThan(0);
  expect(() => wholeOrCut({ ...bird, dressedKilograms: 0 }, 300, cuts, work)).toThrow(
    "more than 0 kg, got 0",
  );
});

test("feed to a pound sold leaves out what is not sold, and has no answer where nothing is", () => {
  expect(feedPerKilogramSold(500, 100)?.value).toBe(5);
  expect(feedPerKilogramSold(500, 0)).toBeUndefined();
});

test("kit is written off over its birds, or over its years at the farm's birds a year", () => {
  const items = [
    { priceCents: 40_000, life: { birds: 800 } },
    { priceCents: 24_000, life: { years: 8 } },
  ];
  // 50 + 24,000 / (8 x 100) = 30 cents a bird.
  expect(kitShare(items, 4, 100)).toBe(320);
  expect(() => kitShare(items, 4, 0)).toThrow("more than 0 birds, got 0");
});
