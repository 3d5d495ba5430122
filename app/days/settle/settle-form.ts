import { z } from "zod";
import { amount, optional, tick } from "#app/ui/read/read-field.ts";
import { supplyQuantity, weight } from "#app/ui/read/read-measure.ts";
import { quantityOf } from "#app/words/supply-words.ts";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import type { SupplyKind } from "#core/packing/supply-stock.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A supply whose use is settled with the day. */
export interface CountedSupply {
  readonly id: number;
  readonly kind: SupplyKind;
}

/** The field in which it is said how much of a supply was used. */
export const usedField = (supplyId: number) => `used-${supplyId}`;

/** The field of what the birds of a lot weighed alive, by the lot's place in the day. */
export const liveField = (lot: number) => (lot === 0 ? "liveMean" : `liveMean-${lot}`);

/** What closes a day: hours of all people, each lot's live mean if it was weighed that morning, and what was used up. */
export function settleForm(unitSystem: UnitSystem, supplies: readonly CountedSupply[], lotCount: number) {
  const live: object = Object.fromEntries(
    Array.from({ length: lotCount }, (_, lot) => [
      liveField(lot),
      optional(weight({ unitSystem, ask: "", range: LIVE_RANGE_KILOGRAMS, what: "a live chicken" })),
    ]),
  );
  // Their names are known only at run time, so the types know nothing of them.
  const used: object = Object.fromEntries(
    supplies.map(({ id, kind }) => [
      usedField(id),
      optional(supplyQuantity(quantityOf(kind), { unitSystem, most: 10_000_000, ask: "" })),
    ]),
  );
  return z
    .object({
      workHours: optional(amount({ most: 1000, ask: "" })),
      packingHours: optional(amount({ most: 1000, ask: "" })),
      /** The day is settled although something that it was asked about is left as it is. */
      isSure: tick,
      ...live,
      ...used,
    })
    .transform((typed) => ({
      workHours: typed.workHours,
      packingHours: typed.packingHours,
      isSure: typed.isSure,
      /** Of each lot, milligrams. */
      liveMeans: Array.from(
        { length: lotCount },
        (_, lot) => (typed as unknown as Record<string, number | undefined>)[liveField(lot)],
      ),
      used: supplies.flatMap(({ id: supplyId }) => {
        const amount = (typed as unknown as Record<string, number | undefined>)[usedField(supplyId)];
        return amount ? [{ supplyId, amount }] : [];
      }),
    }));
}
