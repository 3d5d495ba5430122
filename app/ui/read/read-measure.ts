import { field, wholeNumber } from "#app/ui/read/read-field.ts";
import { showUnits } from "#app/words/show.ts";
import { rangeVerdict } from "#core/packing/carcass-range.ts";
import {
  kilogramsFromMilligrams,
  METERS_PER_FOOT,
  MILLILITERS_PER_GALLON,
  millicelsiusFromFahrenheit,
} from "#core/quantity/conversion.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import { readVolume } from "#core/quantity/read-volume.ts";
import { readWeight, type UnitSystem } from "#core/quantity/read-weight.ts";

export interface WeightField {
  readonly unitSystem: UnitSystem;
  readonly ask: string;
  /** Least and most that make sense, kg. */
  readonly range: readonly [number, number];
  /** What is weighed, for the message: "a dressed chicken". */
  readonly what: string;
  /** Many birds or bags together: a bare number is never grams, however large. */
  readonly isBulk?: boolean;
}

export function weight({ unitSystem, ask, range, what, isBulk = false }: WeightField) {
  const { bird } = showUnits(unitSystem);
  const example = unitSystem === "us" ? "4 9.2 for 4 lb 9.2 oz, or 4.58" : "2.08 for 2.08 kg, or 2080g";
  return field((text) => {
    const reading = readWeight(
      isBulk ? text.replace(/,(?=\d{3}\b)/g, "") : text,
      unitSystem,
      isBulk ? Infinity : undefined,
    );
    if (reading.readable) {
      const verdict = rangeVerdict(kilogramsFromMilligrams(reading.weight), range);
      if (verdict === "zero")
        return { problem: "A weight can't be 0. Put the bird on the scale and read it again" };
      if (verdict === "too-light")
        return {
          problem: `${bird(reading.weight)} is too light for ${what}. Check the decimal point and the unit`,
        };
      if (verdict === "too-heavy")
        return {
          problem: `${bird(reading.weight)} is too heavy for ${what}. Check the decimal point and the unit`,
        };
      return { value: reading.weight };
    }
    const problems = {
      empty: ask,
      negative: "A weight can't be below 0. Remove the minus sign",
      "not-a-weight": `This is not a weight. Enter it like ${example}`,
      "ounces-past-fifteen": "Ounces go from 0 to 15.9; 16 make a pound. Check the second number",
    };
    return { problem: problems[reading.reason] };
  });
}

interface MeasureField {
  readonly unitSystem: UnitSystem;
  /** Least and most that make sense, in °C or liters. */
  readonly least: number;
  readonly most: number;
  readonly ask: string;
}

/** A number with or without a unit behind it, read to thousandths of the unit that core calculates in. */
function measure(
  { least, most, ask }: MeasureField,
  {
    pattern,
    thousandths,
    show,
    example,
  }: {
    /** Finds the number and its unit in a text without two spaces together. */
    pattern: RegExp;
    thousandths: (number: number, unit: string | undefined) => number;
    show: (value: number) => string;
    example: string;
  },
) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const [, sign, digits, unit] = pattern.exec(text.replace(/\s+/g, " ")) ?? [];
    const size = digits === undefined ? undefined : readNumber(digits, { commaGroups: false });
    if (size === undefined) return { problem: example };
    const value = thousandths(sign ? -size : size, unit?.toLowerCase());
    if (value >= least * 1000 && value <= most * 1000) return { value };
    return { problem: `Enter a value between ${show(least)} and ${show(most)}` };
  });
}

/** Millidegrees Celsius, typed in the farm's unit or with °C or °F behind. */
export function temperature(of: MeasureField) {
  const show = showUnits(of.unitSystem).temperature;
  const isFahrenheit = (unit: string | undefined) => (unit ? unit === "f" : of.unitSystem === "us");
  return measure(of, {
    pattern: /^([-−]?) ?([\d.,]+) ?°? ?([cf]?)$/i,
    thousandths: (degrees, unit) =>
      isFahrenheit(unit) ? millicelsiusFromFahrenheit(degrees) : Math.round(degrees * 1000),
    show,
    example: `Enter a temperature, such as ${show(15)}`,
  });
}

/** Milliliters, typed in gallons or liters as the farm uses, or with l or gal behind. */
export function volume(of: MeasureField) {
  const show = showUnits(of.unitSystem).volume;
  const isGallons = (unit: string | undefined) => (unit ? unit.startsWith("g") : of.unitSystem === "us");
  return measure(of, {
    pattern: /^()([\d.,/ ]+)(l|lit(?:er|re)s?|gal|gallons?)?$/i,
    thousandths: (size, unit) => Math.round(size * (isGallons(unit) ? MILLILITERS_PER_GALLON : 1000)),
    show,
    example: `Enter a volume, such as ${show(60)}`,
  });
}

/** How much of a supply, read to whole pieces, grams or milliliters: `3`, `2 lb`, `900 g`, `12 fl oz`, `1.5 cups`. */
export function supplyQuantity(
  counted: "piece" | "weight" | "volume",
  { unitSystem, least = 0, most, ask }: { unitSystem: UnitSystem; least?: number; most: number; ask: string },
) {
  if (counted === "piece") return wholeNumber({ least, most, ask });
  const isUs = unitSystem === "us";
  return field((text) => {
    if (text === "") return { problem: ask };
    const example =
      counted === "weight"
        ? isUs
          ? "2 lb or 8 oz"
          : "900 g or 1.5 kg"
        : isUs
          ? "12 fl oz or 2 cups"
          : "350 ml";
    const value = counted === "weight" ? gramsOf(text, unitSystem) : readVolume(text, unitSystem);
    if (value === undefined || value < least) return { problem: `Enter an amount, such as ${example}` };
    return value > most ? { problem: "That is too much. Check the number and the unit" } : { value };
  });
}

function gramsOf(text: string, unitSystem: UnitSystem): number | undefined {
  if (readNumber(text) === 0) return 0;
  const reading = readWeight(text, unitSystem, Number.POSITIVE_INFINITY);
  return reading.readable ? Math.round(kilogramsFromMilligrams(reading.weight) * 1000) : undefined;
}

/** Whole meters above the sea, typed in feet or meters as the farm uses, or with ft or m behind. */
export function altitude({ unitSystem, ask }: { unitSystem: UnitSystem; ask: string }) {
  const show = showUnits(unitSystem).altitude;
  return field((text) => {
    if (text === "") return { problem: ask };
    const [, sign, digits, unit] = /^([-−]?)\s*([\d.,]{1,9})\s*(ft|feet|m|meters?)?$/i.exec(text) ?? [];
    const size = digits === undefined ? undefined : readNumber(digits);
    if (size === undefined) return { problem: `Enter a height, such as ${show(310)}` };
    const isFeet = unit ? unit.toLowerCase().startsWith("f") : unitSystem === "us";
    const meters = Math.round((sign ? -size : size) * (isFeet ? METERS_PER_FOOT : 1));
    return meters < -500 || meters > 6000
      ? { problem: `Enter a height between ${show(-500)} and ${show(6000)}` }
      : { value: meters };
  });
}
