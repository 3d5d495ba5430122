import { z } from "zod";
import { amount, optional, weight, wholeNumber } from "#app/ui/read-field.ts";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** The field in which it is said how much of a supply was used. */
export const usedField = (supplyId: number) => `used-${supplyId}`;

/** What closes a day: hours of all people, the live mean if the birds were weighed that morning, and what was used up. */
export function settleForm(unitSystem: UnitSystem, supplyIds: readonly number[]) {
  // Their names are known only at run time, so the types know nothing of them.
  const used: object = Object.fromEntries(
    supplyIds.map((id) => [usedField(id), optional(wholeNumber({ most: 10_000_000, ask: "" }))]),
  );
  return z
    .object({
      workHours: optional(amount({ most: 1000, ask: "" })),
      liveMean: optional(
        weight({ unitSystem, ask: "", range: LIVE_RANGE_KILOGRAMS, what: "a live chicken" }),
      ),
      ...used,
    })
    .transform((typed) => ({
      workHours: typed.workHours,
      liveMean: typed.liveMean,
      used: supplyIds.flatMap((supplyId) => {
        const amount = (typed as unknown as Record<string, number | null>)[usedField(supplyId)];
        return amount ? [{ supplyId, amount }] : [];
      }),
    }));
}
