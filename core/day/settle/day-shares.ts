import { allot } from "#core/cost/allot.ts";
import { type KitItem, kitShare } from "#core/cost/kit-share.ts";
import { type Cents, cents } from "#core/quantity/quantity.ts";
import type { Setting } from "#core/reckoning/setting.ts";

/** How lots share what a day costs as a whole: by their birds, or by the work in them. */
export const SHARED_BY = ["birds", "work"] as const;
export type SharedBy = (typeof SHARED_BY)[number];

export interface LotToCharge {
  /** A lot of none bears nothing: there is no bird to bear it. */
  readonly dressedCount: number;
  /** Minutes of hands' work in all of its birds. */
  readonly handMinutes: number;
}

/** What a day cost as a whole. */
export interface CostOfDay {
  readonly costs: readonly { readonly what: string; readonly cents: number }[];
  readonly kit: readonly KitItem[];
  readonly birdsAYear: Setting;
  /** Hours of all people together. */
  readonly workMinutes: Setting;
  readonly centsAnHour: Setting;
}

/** A lot's part of it. */
export interface ShareOfDay {
  readonly costs: CostOfDay["costs"];
  readonly kitCents: Cents;
  readonly laborCents: Cents;
  readonly workMinutes: Setting;
  readonly centsAnHour: Setting;
}

/**
 * Splits what a day cost over its lots so that the parts add up to the whole to the cent. Equipment wears by the bird
 * however the rest is shared.
 *
 * @throws {RangeError} if no lot has a dressed bird
 */
export function sharesOfDay(day: CostOfDay, lots: readonly LotToCharge[], by: SharedBy): ShareOfDay[] {
  const dressed = lots.map(({ dressedCount }) => dressedCount);
  const all = dressed.reduce((sum, count) => sum + count, 0);
  const work = lots.map(({ dressedCount, handMinutes }) => (dressedCount > 0 ? handMinutes : 0));
  const weights = by === "work" && work.some((minutes) => minutes > 0) ? work : dressed;
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const kit = allot(kitShare(day.kit, all, day.birdsAYear.value), dressed);
  // A day whose finish was tapped before its start took no time that anybody is owed for.
  const minutes = Math.max(0, day.workMinutes.value);
  const labor = cents(Math.round((minutes / 60) * day.centsAnHour.value));
  const labors = allot(labor, weights);
  const costs = day.costs.map(({ what, cents: amount }) => ({ what, parts: allot(cents(amount), weights) }));
  return lots.map((_, lot) => ({
    costs: costs.map(({ what, parts }) => ({ what, cents: parts[lot]! })),
    kitCents: kit[lot]!,
    laborCents: labors[lot]!,
    workMinutes: {
      value: lots.length === 1 ? day.workMinutes.value : (day.workMinutes.value * weights[lot]!) / whole,
      provenance: day.workMinutes.provenance,
    },
    centsAnHour: day.centsAnHour,
  }));
}
