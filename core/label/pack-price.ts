import { LABEL_SCALE, labelPrice, printedWeight } from "#core/label/label-price.ts";
import { kilogramsFromMilligrams, MILLILITERS_PER_GALLON } from "#core/quantity/conversion.ts";
import { type Cents, cents, milligrams } from "#core/quantity/quantity.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

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

/** The price of a pack that is sold by weight, whole cents, with its working; undefined for every other. */
export function priceReckoning(pack: PackToPrice): Reckoning | undefined {
  const { priceCents, priceUnit, weightMilligrams, tareMilligrams } = pack;
  const value = packPrice(pack);
  if (value === undefined || priceCents === undefined || weightMilligrams === undefined) return undefined;
  if (priceUnit !== "pound" && priceUnit !== "kilogram") return undefined;
  const scale = priceUnit === "pound" ? LABEL_SCALE.us : LABEL_SCALE.metric;
  const gross = milligrams(weightMilligrams + tareMilligrams);
  const printed = printedWeight(gross, milligrams(tareMilligrams), scale);
  return reckoning({
    value,
    unit: "cents",
    inputs: [
      input("gross-weight", kilogramsFromMilligrams(gross), "carcass-kg", "measured"),
      input("container-weight", kilogramsFromMilligrams(tareMilligrams), "carcass-kg", "measured"),
      input("net-weight", kilogramsFromMilligrams(weightMilligrams), "carcass-kg", "calculated"),
      input(
        "printed-weight",
        kilogramsFromMilligrams(printed.shownUnits * scale.unitMilligrams),
        "label-kg",
        "calculated",
      ),
      input(
        priceUnit === "pound" ? "price-a-pound" : "price-a-kilogram",
        priceCents,
        "cents",
        "farm-setting",
      ),
    ],
    rule: "price-of-printed-weight",
    source: "label",
  });
}
