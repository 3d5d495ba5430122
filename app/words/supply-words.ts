import { plural, type Show } from "#app/words/show.ts";
import { bucketOfSanitizer } from "#core/day/supplies/day-needs.ts";
import { NEEDS } from "#core/packing/needs-constants.ts";
import type { SupplyKind } from "#core/packing/supply-stock.ts";

interface SupplyWords {
  readonly name: string;
  /** One piece of it as it is counted; or what it is measured as. */
  readonly counted: "bag" | "piece" | "pair" | "roll" | "weight" | "volume";
}

/** What is used up, as a person names it, and how it is counted. */
export const SUPPLY_WORDS: Readonly<Record<SupplyKind, SupplyWords>> = {
  ice: { name: "Ice", counted: "bag" },
  bag: { name: "Poultry bags", counted: "piece" },
  tie: { name: "Ties", counted: "piece" },
  tube: { name: "Vent tubes", counted: "piece" },
  label: { name: "Labels", counted: "piece" },
  vacuum_bag: { name: "Vacuum bags", counted: "piece" },
  propane: { name: "Propane", counted: "weight" },
  bleach: { name: "Plain bleach", counted: "volume" },
  salt: { name: "Salt", counted: "weight" },
  glove: { name: "Gloves", counted: "pair" },
  towel: { name: "Paper towels", counted: "roll" },
  bin_bag: { name: "Trash bags", counted: "piece" },
};

/** An amount of a supply as stored (pieces, grams or milliliters), in the farm's own units. */
export function supplyAmount(kind: SupplyKind, amount: number, show: Show): string {
  const { counted } = SUPPLY_WORDS[kind];
  if (counted === "weight") return show.value(amount, "grams");
  if (counted === "volume") return show.value(amount, "milliliters");
  return plural(amount, counted);
}

/** What an amount of it is typed as. */
export function supplyUnit(kind: SupplyKind, show: Show): string {
  const { counted } = SUPPLY_WORDS[kind];
  if (counted === "weight") return show.weightUnit;
  if (counted === "volume") return show.isUs ? "fl oz" : "ml";
  return `${counted}s`;
}

/** How an amount of it is read. */
export function quantityOf(kind: SupplyKind): "piece" | "weight" | "volume" {
  const { counted } = SUPPLY_WORDS[kind];
  return counted === "weight" || counted === "volume" ? counted : "piece";
}

/** An estimated amount as it is typed: a bare number of pieces, or a weight or volume with its unit. */
export function supplyTyped(kind: SupplyKind, amount: number, show: Show): string {
  return quantityOf(kind) === "piece" ? String(amount) : supplyAmount(kind, amount, show);
}

/** The mix for tables and knives, of a bleach of the strength on its label. */
export function sanitizerInWords(hypochloriteFraction: number, show: Show): string {
  const { bleachMilliliters } = bucketOfSanitizer(hypochloriteFraction);
  return `${show.value(bleachMilliliters, "milliliters")} of plain bleach at ${show.value(hypochloriteFraction, "fraction")} in ${show.volume(NEEDS.sanitizerLiters)} of cold water: ${NEEDS.sanitizerMilligramsPerLiter} ppm of chlorine.`;
}

export const SANITIZER_CAUTION =
  "Plain, unscented bleach only. Never mix it with acid, vinegar, ammonia, or hot water. Scrub first: dirt uses up chlorine. Add bleach to water; wear gloves and eye protection; ventilate. Check with a test strip, and follow the label and your local rules.";
