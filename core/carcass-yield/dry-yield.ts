import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

export const DRIED_KINDS = ["feet", "hearts", "gizzards"] as const;
export type DriedKind = (typeof DRIED_KINDS)[number];

/** Water in what is dried, before and after, share of weight. Choices: weigh one load. See docs/sources.md#drying. */
export const WATER_BEFORE: Readonly<Record<DriedKind, number>> = { feet: 0.66, hearts: 0.75, gizzards: 0.76 };
export const WATER_AFTER = 0.1;

/**
 * Weight of a load once it is dry, kg: what is not water stays. See docs/sources.md#drying.
 *
 * @throws {RangeError} if a share of water is not below 1, or more water is left than there was
 */
export function dryYield(
  wetKilograms: number,
  waterBefore: number,
  waterAfter: number,
): { readonly dryKilograms: number; readonly waterLostKilograms: number } {
  if (!(waterBefore >= 0 && waterBefore < 1 && waterAfter >= 0 && waterAfter <= waterBefore))
    throw new RangeError(`water must fall from ${waterBefore} to ${waterAfter}, both from 0 to below 1`);
  const dryKilograms = (wetKilograms * (1 - waterBefore)) / (1 - waterAfter);
  return { dryKilograms, waterLostKilograms: wetKilograms - dryKilograms };
}

/** What a load weighs once it is dry, kg, with its working. */
export const dryWeight = (wetKilograms: number, kind: DriedKind): Reckoning =>
  reckoning({
    value: dryYield(wetKilograms, WATER_BEFORE[kind], WATER_AFTER).dryKilograms,
    unit: "carcass-kg",
    inputs: [
      input("wet-weight", wetKilograms, "carcass-kg", "measured"),
      input("water-before", WATER_BEFORE[kind], "fraction", "our-estimate"),
      input("water-after", WATER_AFTER, "fraction", "our-estimate"),
    ],
    rule: "dry-weight",
    source: "drying",
  });
