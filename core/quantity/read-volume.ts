import {
  FLUID_OUNCES_PER_CUP,
  MILLILITERS_PER_FLUID_OUNCE,
  MILLILITERS_PER_GALLON,
} from "#core/quantity/conversion.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** Milliliters of each unit that people measure small volumes in. See docs/sources.md#units. */
const UNITS: readonly (readonly [RegExp, number])[] = [
  [/^ml$/, 1],
  [/^l$/, 1000],
  [/^(fl\.? ?)?oz\.?$/, MILLILITERS_PER_FLUID_OUNCE],
  [/^cups?$/, MILLILITERS_PER_FLUID_OUNCE * FLUID_OUNCES_PER_CUP],
  [/^(qts?|quarts?)$/, MILLILITERS_PER_GALLON / 4],
  [/^(gal|gallons?)$/, MILLILITERS_PER_GALLON],
];

/**
 * Reads a small volume as people type it: `350 ml`, `12 fl oz`, `1 1/2 cups`, `1 gal`; a bare number is fluid ounces or
 * milliliters.
 *
 * @returns whole milliliters, not negative, or undefined if the text is not a volume
 */
export function readVolume(text: string, system: UnitSystem): number | undefined {
  const plain = text.trim();
  const letters = plain.search(/[a-z]/i);
  const value = readNumber(letters < 0 ? plain : plain.slice(0, letters));
  const named = letters < 0 ? "" : plain.slice(letters).toLowerCase();
  const unit = named === "" ? (system === "us" ? "fl oz" : "ml") : named;
  const each = UNITS.find(([pattern]) => pattern.test(unit))?.[1];
  return value === undefined || each === undefined ? undefined : Math.round(value * each);
}
