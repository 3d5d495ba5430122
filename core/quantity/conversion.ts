import { type Milligrams, milligrams } from "#core/quantity/quantity.ts";

/** The international pound is 0.45359237 kg exactly. See docs/sources.md#units. */
export const MILLIGRAMS_PER_POUND = 453_592.37;
export const MILLIGRAMS_PER_OUNCE = MILLIGRAMS_PER_POUND / 16;
export const MILLIGRAMS_PER_KILOGRAM = 1_000_000;
/** The United States liquid gallon is 231 cubic inches of 2.54 cm exactly. See docs/sources.md#units. */
export const MILLILITERS_PER_GALLON = 3_785.411784;
export const MILLIMETERS_PER_INCH = 25.4;
/** The international foot and the pound of force on a square inch. See docs/sources.md#units. */
export const METERS_PER_FOOT = 0.3048;
export const PASCALS_PER_PSI = 6_894.757293168;
export const KILOMETERS_PER_MILE = 1.609344;
export const MILLILITERS_PER_FLUID_OUNCE = MILLILITERS_PER_GALLON / 128;
export const FLUID_OUNCES_PER_CUP = 8;

/** Nearest whole milligram of a weight in pounds. */
export function milligramsFromPounds(pounds: number): Milligrams {
  return milligrams(Math.round(pounds * MILLIGRAMS_PER_POUND));
}

/** Nearest whole milligram of a weight in kilograms. */
export function milligramsFromKilograms(kilograms: number): Milligrams {
  return milligrams(Math.round(kilograms * MILLIGRAMS_PER_KILOGRAM));
}

export function kilogramsFromMilligrams(weight: number): number {
  return weight / MILLIGRAMS_PER_KILOGRAM;
}

/** Nearest thousandth of a degree Celsius of a temperature in degrees Fahrenheit. */
export function millicelsiusFromFahrenheit(fahrenheit: number): number {
  return Math.round(((fahrenheit - 32) * 5000) / 9);
}

export const FAHRENHEIT_DEGREES_PER_KELVIN = 1.8;

export function fahrenheitFromCelsius(celsius: number): number {
  return (celsius * 9) / 5 + 32;
}
