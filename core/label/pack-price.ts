import { LABEL_SCALE, labelPrice, printedWeight } from "#core/label/label-price.ts";
import { MILLILITERS_PER_GALLON } from "#core/quantity/conversion.ts";
import { type Cents, cents, milligrams } from "#core/quantity/quantity.ts";

export const PRICE_UNITS = ["pound", "kilogram", "pack", "quart", "liter"] as const;
/** What a price is for. */
export type PriceUnit = (typeof PRICE_UNITS)[number];

export interface PackToPrice {
  /** Net, mg; undefined for what goes by volume. */
  readonly weightMilligrams: number | undefined;
  readonly tareMilligrams: number;
  readonly volumeMilliliters: number | undefined;
  /** Of one unit; undefined where it has no price. */
  readonly priceCents: number | undefined;
  readonly priceUnit: PriceUnit;
}

const MILLILITERS_EACH = { quart: MILLILITERS_PER_GALLON / 4, liter: 1000 } as const;

/**
 * What a pack costs, whole cents: its printed weight or its volume times the price, or the price of a pack; undefined where it has
 * none, or is sold by what was not measured.
 */
export function packPrice(pack: PackToPrice): Cents | undefined {
  const { priceCents, priceUnit, weightMilligrams, volumeMilliliters } = pack;
  if (priceCents === undefined) return undefined;
  if (priceUnit === "pack") return cents(priceCents);
  if (priceUnit === "quart" || priceUnit === "liter")
    return volumeMilliliters === undefined
      ? undefined
      : cents(Math.round((volumeMilliliters / MILLILITERS_EACH[priceUnit]) * priceCents));
  if (weightMilligrams === undefined) return undefined;
  const scale = priceUnit === "pound" ? LABEL_SCALE.us : LABEL_SCALE.metric;
  const gross = milligrams(weightMilligrams + pack.tareMilligrams);
  return labelPrice(printedWeight(gross, milligrams(pack.tareMilligrams), scale), priceCents, scale);
}
