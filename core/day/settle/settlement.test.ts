import fc from "fast-check";
import { expect, test } from "vitest";
import { feedUsed } from "#core/cost/batch-cost.ts";
import { bookOfBatch, bookOfPast } from "#core/day/settle/batch-book.ts";
import { type CostOfDay, sharesOfDay } from "#core/day/settle/day-shares.ts";
import { type SettlementInput, settlement } from "#core/day/settle/settlement.ts";
import { packTally } from "#core/packing/pack-tally.ts";
import { cents } from "#core/quantity/quantity.ts";
import { reckoning } from "#core/reckoning/reckoning.ts";

const live = reckoning({
  value: 3,
  unit: "live-kg",
  provenance: "measured",
  inputs: [],
  rule: "live-mean-weighed",
  source: "yield",
});

const COST: CostOfDay = {
  costs: [{ what: "ice", cents: 450 }],
  kit: [{ priceCents: 10_000, life: { birds: 500 } }],
  birdsAYear: { value: 100, provenance: "our-estimate" },
  workMinutes: { value: 90, provenance: "measured" },
  centsAnHour: { value: 1600, provenance: "farm-setting" },
};

function day(change: Partial<SettlementInput> = {}): SettlementInput {
  return {
    live,
    tally: packTally(
      [2_000_000, 2_100_000, 2_200_000].map((weightMilligrams) => ({ use: "sale", weightMilligrams })),
    ),
    batchCost: {
      chicks: cents(1200),
      feed: feedUsed([{ bags: 4, bagKilograms: 25, bagPriceCents: 2000 }], 40),
      other: cents(300),
    },
    shares: [
      { birds: 3, feedKilogramsEach: 6 },
      { birds: 1, feedKilogramsEach: 6 },
    ],
    ownShare: 0,
    day: sharesOfDay(COST, [{ dressedCount: 3, handMinutes: 30 }], "birds")[0]!,
    ...change,
  };
}

test("by hand: three of four birds bear three quarters of 12.00, 48.00 and 3.00, and all of the ice", () => {
  const { methods, dressedMean, dressedYield, feedPerKilogramDressed } = settlement(day())!;
  expect(dressedMean.value).toBeCloseTo(2.1, 12);
  expect(dressedYield.value).toBeCloseTo(0.7, 12);
  expect(feedPerKilogramDressed?.value).toBeCloseTo((60 * 0.75) / 6.3, 12);
  // 9.00 + 36.00 + 2.25 + 4.50; then 3 x 0.20 of kit; then 1.5 h at 16.00.
  expect(methods.map(({ total }) => total.value)).toEqual([5175, 5235, 7635]);
  expect(methods[2]!.perBird.value).toBeCloseTo(2545, 12);
  expect(methods[0]!.perKilogram.value).toBeCloseTo(5175 / 6.3, 12);
});

test("the parts in each working add up to its total to the cent", () => {
  for (const { total } of settlement(day())!.methods) {
    const parts = total.inputs.filter(({ unit, name }) => unit === "cents" && name !== "labor-rate-per-hour");
    expect(parts.reduce((sum, part) => sum + part.value, 0)).toBe(total.value);
  }
});

test("without a dressed bird there is nothing to settle, and without feed no feed per kilogram", () => {
  expect(
    settlement(day({ tally: packTally([{ use: "condemned", weightMilligrams: undefined }]) })),
  ).toBeUndefined();
  const without = day({ batchCost: { chicks: cents(0), feed: feedUsed([], 0), other: cents(0) } });
  expect(settlement(without)!.feedPerKilogramDressed).toBeUndefined();
});

test("the books put the days of a batch together by their birds", () => {
  const part = { settlement: settlement(day())!, liveKilograms: 3, birds: 3 };
  const book = bookOfBatch([part, part]);
  expect(book).toMatchObject({ dressedCount: 6, centsPerBird: [1725, 1745, 2545] });
  expect(book.dressedFraction).toBeCloseTo(0.7, 12);
  const past = bookOfPast({
    dressedCount: 10,
    dressedKilograms: 20,
    costCents: 12_000,
    liveKilograms: undefined,
    feedKilograms: 70,
  });
  expect(past).toMatchObject({
    dressedMeanKilograms: 2,
    dressedFraction: undefined,
    feedPerKilogram: 3.5,
    centsPerBird: [1200],
  });
  expect(() => bookOfBatch([])).toThrow("must have a dressed bird");
});

test("lots share a day by their birds or by the work in them, and by birds alone for what wears out", () => {
  const lots = [
    { dressedCount: 30, handMinutes: 300 },
    { dressedCount: 10, handMinutes: 300 },
    { dressedCount: 0, handMinutes: 90 },
  ];
  const [byBirds, byWork] = (["birds", "work"] as const).map((by) => sharesOfDay(COST, lots, by));
  // Ice 4.50, kit 40 x 0.20 = 8.00, labor 24.00.
  expect(byBirds!.map(({ costs }) => costs[0]!.cents)).toEqual([338, 112, 0]);
  expect(byBirds!.map(({ laborCents }) => laborCents)).toEqual([1800, 600, 0]);
  expect(byWork!.map(({ costs }) => costs[0]!.cents)).toEqual([225, 225, 0]);
  expect(byWork!.map(({ laborCents }) => laborCents)).toEqual([1200, 1200, 0]);
  for (const shares of [byBirds!, byWork!])
    expect(shares.map(({ kitCents }) => kitCents)).toEqual([600, 200, 0]);
});

test("the costs of lots add up to the day to the cent, whichever way they are shared", () => {
  const amount = fc.integer({ min: 0, max: 99_999 });
  const lot = fc.record({
    dressedCount: fc.integer({ min: 0, max: 80 }),
    handMinutes: fc.double({ min: 0, max: 900, noNaN: true }),
  });
  fc.assert(
    fc.property(
      fc
        .array(lot, { minLength: 1, maxLength: 6 })
        .filter((lots) => lots.some((one) => one.dressedCount > 0)),
      fc.array(amount, { maxLength: 4 }),
      fc.integer({ min: 0, max: 6000 }),
      fc.constantFrom("birds" as const, "work" as const),
      (lots, costs, minutes, by) => {
        const whole: CostOfDay = {
          ...COST,
          costs: costs.map((cents, index) => ({ what: `cost ${index}`, cents })),
          workMinutes: { value: minutes, provenance: "measured" },
        };
        const shares = sharesOfDay(whole, lots, by);
        const sum = (of: (share: (typeof shares)[number]) => number) =>
          shares.reduce((running, share) => running + of(share), 0);
        const dressed = lots.reduce((running, one) => running + one.dressedCount, 0);
        expect(sum(({ laborCents }) => laborCents)).toBe(Math.round((minutes / 60) * 1600));
        expect(sum(({ kitCents }) => kitCents)).toBe(dressed * 20);
        for (const [index, cost] of costs.entries())
          expect(sum((share) => share.costs[index]!.cents)).toBe(cost);
        expect(sum(({ workMinutes }) => workMinutes.value)).toBeCloseTo(minutes, 6);
      },
    ),
  );
});
