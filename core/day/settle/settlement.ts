import type { CostShare, FeedUsed } from "#core/cost/batch-cost.ts";
import { splitBatchCost } from "#core/cost/batch-cost.ts";
import type { ShareOfDay } from "#core/day/settle/day-shares.ts";
import type { PackTally } from "#core/packing/pack-tally.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Cents } from "#core/quantity/quantity.ts";
import { type Input, input, inputFrom, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { RuleName } from "#core/reckoning/reckoning-names.ts";
import { inputSetting } from "#core/reckoning/setting.ts";

export interface SettlementInput {
  /** Mean live weight of the lot's birds, measured at the kill or expected. */
  readonly live: Reckoning;
  readonly tally: PackTally;
  readonly batchCost: { readonly chicks: Cents; readonly feed: FeedUsed; readonly other: Cents };
  /** All shares of the batch; the lot's own is the one at `ownShare`. */
  readonly shares: readonly CostShare[];
  readonly ownShare: number;
  /** The lot's part of what the day cost as a whole. */
  readonly day: ShareOfDay;
}

export const COST_BASES = ["cash", "with-equipment", "with-labor"] as const;
export type CostBasis = (typeof COST_BASES)[number];

export interface BasisCost {
  readonly method: CostBasis;
  readonly total: Reckoning;
  readonly perBird: Reckoning;
  /** Cents per kilogram dressed. */
  readonly perKilogram: Reckoning;
}

export interface Settlement {
  readonly dressedMean: Reckoning;
  readonly dressedYield: Reckoning;
  readonly feedPerKilogramDressed: Reckoning | undefined;
  readonly methods: readonly BasisCost[];
}

/** The mean live weight of a lot's birds, kg, as someone weighed it at the kill. */
export const measuredLive = (kilograms: number): Reckoning =>
  reckoning({
    value: kilograms,
    unit: "live-kg",
    provenance: "measured",
    inputs: [],
    rule: "live-mean-weighed",
    source: "yield",
  });

/** What a lot came to. Undefined until a dressed bird has been weighed. See docs/sources.md#cost. */
export function settlement(of: SettlementInput): Settlement | undefined {
  const { tally } = of;
  if (tally.dressedCount === 0 || tally.totalMilligrams === 0) return undefined;
  const totalKilograms = kilogramsFromMilligrams(tally.totalMilligrams);
  const dressedMean = reckoning({
    value: totalKilograms / tally.dressedCount,
    unit: "carcass-kg",
    inputs: [
      input("birds-dressed", tally.dressedCount, "birds", "measured"),
      input("total-dressed-weight", totalKilograms, "carcass-kg", "measured"),
    ],
    rule: "mean-dressed-weight",
    source: "yield",
  });
  const parts = costParts(of);
  const perUnit = (total: Reckoning, unit: "cents" | "cents-per-kg") =>
    reckoning({
      value: total.value / (unit === "cents" ? tally.dressedCount : totalKilograms),
      unit,
      inputs: [
        inputFrom("total-cost", total),
        unit === "cents"
          ? input("birds-dressed", tally.dressedCount, "birds", "measured")
          : input("total-dressed-weight", totalKilograms, "carcass-kg", "measured"),
      ],
      rule: unit === "cents" ? "cost-per-bird" : "cost-per-dressed-weight",
      source: "cost",
    });
  const methods = COST_BASES.map((method, index) => {
    const included = parts.slice(0, index + 1).flat();
    const total = reckoning({
      value: included.reduce((sum, part) => sum + part.value, 0),
      unit: "cents",
      inputs: [...included, ...(index === 2 ? timeInputs(of) : [])],
      rule: BASIS_RULES[method],
      source: "cost",
    });
    return { method, total, perBird: perUnit(total, "cents"), perKilogram: perUnit(total, "cents-per-kg") };
  });
  return {
    dressedMean,
    dressedYield: reckoning({
      value: dressedMean.value / of.live.value,
      unit: "fraction",
      inputs: [inputFrom("mean-dressed-weight", dressedMean), inputFrom("mean-live-weight", of.live)],
      rule: "dressing-percentage",
      source: "yield",
    }),
    feedPerKilogramDressed: feedPerKilogram(of, totalKilograms),
    methods,
  };
}

const BASIS_RULES: Readonly<Record<CostBasis, RuleName>> = {
  cash: "cash-costs",
  "with-equipment": "cost-with-equipment",
  "with-labor": "cost-with-labor",
};

/** The parts of cost in three groups, each method adding one. */
function costParts(of: SettlementInput): [Input[], Input[], Input[]] {
  const share = ownShareOf(of);
  return [
    [
      input("chicks", share.chicks, "cents", "calculated"),
      input("feed", share.feed, "cents", "calculated"),
      input("other-batch-costs", share.other, "cents", "calculated"),
      ...of.day.costs.map((cost) => input({ asEntered: cost.what }, cost.cents, "cents", "measured")),
    ],
    [input("equipment-share", of.day.kitCents, "cents", "calculated")],
    [input("labor", of.day.laborCents, "cents", "calculated")],
  ];
}

function timeInputs({ day: { workMinutes, centsAnHour } }: SettlementInput): Input[] {
  return [
    input("total-hours-worked", workMinutes.value / 60, "hours", workMinutes.provenance),
    inputSetting("labor-rate-per-hour", centsAnHour, "cents"),
  ];
}

function ownShareOf({ batchCost, shares, ownShare }: SettlementInput) {
  return splitBatchCost(
    { chicks: batchCost.chicks, feed: batchCost.feed.cents, other: batchCost.other },
    shares,
  )[ownShare]!;
}

/** Undefined where no feed was recorded: nothing is not a small number. */
function feedPerKilogram(of: SettlementInput, totalKilograms: number): Reckoning | undefined {
  const { feed } = of.batchCost;
  if (feed.kilograms === 0) return undefined;
  const { feedFraction } = ownShareOf(of);
  return reckoning({
    value: (feed.kilograms * feedFraction) / totalKilograms,
    unit: "kg-per-kg",
    inputs: [
      input("feed-bought-for-the-batch", feed.boughtKilograms, "kg", "measured"),
      input("feed-left", feed.leftKilograms, "kg", "measured"),
      input("this-day-s-share", feedFraction, "fraction", "calculated"),
      input("total-dressed-weight", totalKilograms, "carcass-kg", "measured"),
    ],
    rule: "feed-per-weight-dressed",
    source: "cost",
  });
}
