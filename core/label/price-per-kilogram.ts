import type { PriceUnit } from "#core/label/pack-price.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";

/** A price by weight as cents per kilogram; undefined where there is none, or it is not by weight. */
export function centsPerKilogram({
  priceCents,
  priceUnit,
}: {
  readonly priceCents: number | undefined;
  readonly priceUnit: PriceUnit;
}): number | undefined {
  if (priceCents === undefined) return undefined;
  if (priceUnit === "kilogram") return priceCents;
  return priceUnit === "pound" ? (priceCents * MILLIGRAMS_PER_KILOGRAM) / MILLIGRAMS_PER_POUND : undefined;
}
