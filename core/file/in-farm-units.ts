import {
  fahrenheitFromCelsius,
  MILLIGRAMS_PER_KILOGRAM,
  MILLIGRAMS_PER_POUND,
  MILLILITERS_PER_FLUID_OUNCE,
  MILLIMETERS_PER_INCH,
} from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

interface Conversion {
  /** How the stored column ends. */
  readonly stored: string;
  /** How the column ends that a person reads, and its value there, by the farm's units. */
  readonly us: Shown;
  readonly metric: Shown;
}

interface Shown {
  readonly end: string;
  readonly value: (stored: number) => number;
}

const same = (end: string, value: Shown["value"]) => ({ us: { end, value }, metric: { end, value } });

/** What each unit of the data file is to a person: docs/data.md. */
const CONVERSIONS: readonly Conversion[] = [
  {
    stored: "_milligrams",
    us: { end: "_pounds", value: (milligrams) => milligrams / MILLIGRAMS_PER_POUND },
    metric: { end: "_kilograms", value: (milligrams) => milligrams / MILLIGRAMS_PER_KILOGRAM },
  },
  {
    stored: "_millicelsius",
    us: { end: "_fahrenheit", value: (millicelsius) => fahrenheitFromCelsius(millicelsius / 1000) },
    metric: { end: "_celsius", value: (millicelsius) => millicelsius / 1000 },
  },
  {
    stored: "_milliliters",
    us: { end: "_fluid_ounces", value: (milliliters) => milliliters / MILLILITERS_PER_FLUID_OUNCE },
    metric: { end: "_liters", value: (milliliters) => milliliters / 1000 },
  },
  {
    stored: "_millimeters",
    us: { end: "_inches", value: (millimeters) => millimeters / MILLIMETERS_PER_INCH },
    metric: { end: "_millimeters", value: (millimeters) => millimeters },
  },
  {
    stored: "_cents_per_kilogram",
    us: {
      end: "_per_pound",
      value: (cents) => (cents * MILLIGRAMS_PER_POUND) / MILLIGRAMS_PER_KILOGRAM / 100,
    },
    metric: { end: "_per_kilogram", value: (cents) => cents / 100 },
  },
  { stored: "_cents", ...same("", (cents) => cents / 100) },
  { stored: "_permille", ...same("_percent", (permille) => permille / 10) },
  { stored: "_microdegrees", ...same("_degrees", (microdegrees) => microdegrees / 1_000_000) },
];

/** Digits after the point: a hundredth of an ounce is still told apart. */
const DIGITS = 4;

/** A stored column as a person reads it: its name, and what makes its values. Undefined where it has no unit to convert. */
export function inFarmUnits(
  column: string,
  unitSystem: UnitSystem,
): { readonly column: string; readonly value: (stored: number) => number } | undefined {
  const conversion = CONVERSIONS.find(({ stored }) => column.endsWith(stored));
  if (!conversion) return undefined;
  const { end, value } = unitSystem === "us" ? conversion.us : conversion.metric;
  return {
    column: column.slice(0, -conversion.stored.length) + end,
    value: (stored) => Number(value(stored).toFixed(DIGITS)),
  };
}
