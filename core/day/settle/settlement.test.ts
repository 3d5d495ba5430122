import { expect, test } from "vitest";
import { feedUsed } from "#core/cost/batch-cost.ts";
import { bookOfBatch, bookOfPast } from "#core/day/settle/batch-book.ts";
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
    dayCosts: [{ what: "ice", cents: 450 }],
    kit: [{ priceCents: 10_000, life: { birds: 500 } }],
    birdsAYear: { value: 100, provenance: "our-estimate" },
    workMinutes: { value: 90, provenance: "measured" },
    centsAnHour: { value: 1600, provenance: "farm-setting" },
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
