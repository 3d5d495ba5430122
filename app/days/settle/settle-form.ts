import { z } from "zod";
import { amount, optional, weight } from "#app/ui/read-field.ts";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** What closes a day: hours of all people, and the live mean if the birds were weighed that morning. */
export function settleForm(unitSystem: UnitSystem) {
  return z.object({
    workHours: optional(amount({ most: 1000, ask: "" })),
    liveMean: optional(weight({ unitSystem, ask: "", range: LIVE_RANGE_KILOGRAMS, what: "a live chicken" })),
  });
}
