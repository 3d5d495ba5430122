import { MILLIGRAMS_PER_OUNCE, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";
import { type Milligrams, milligrams } from "#core/quantity/quantity.ts";
import { readNumber, spellOutFractions } from "#core/quantity/read-number.ts";

export type UnitSystem = "us" | "metric";

export type WeightReading =
  | { readable: true; weight: Milligrams }
  | { readable: false; reason: "empty" | "negative" | "not-a-weight" | "ounces-past-fifteen" };

/** A bare number from here on is grams in either system: no one dresses a 300 lb bird. Our choice. */
const BARE_GRAMS_FROM = 300;

const UNITS = {
  g: 1_000,
  gram: 1_000,
  grams: 1_000,
  kg: 1_000_000,
  kilo: 1_000_000,
  kilos: 1_000_000,
  lb: MILLIGRAMS_PER_POUND,
  lbs: MILLIGRAMS_PER_POUND,
  pound: MILLIGRAMS_PER_POUND,
  pounds: MILLIGRAMS_PER_POUND,
  "#": MILLIGRAMS_PER_POUND,
  oz: MILLIGRAMS_PER_OUNCE,
  ounce: MILLIGRAMS_PER_OUNCE,
  ounces: MILLIGRAMS_PER_OUNCE,
} as const;

// No two spaces stand together in what these are tried on.
const POUNDS_OUNCES =
  /^([\d.,]+) ?(?:lbs?|pounds?|#)\.? ?,? ?(\d+ \d+\/\d+|\d+\/\d+|[\d.,]+) ?(?:oz|ounces?)?\.?$/;
const WITH_UNIT = /^(\d+ \d+\/\d+|\d+\/\d+|[\d.,]+) ?(g|grams?|kg|kilos?|lbs?|pounds?|#|oz|ounces?)\.?$/;
const TWO_NUMBERS = /^(\d+)(?: ?- ?| )(\d+ \d+\/\d+|\d+\/\d+|\d+(?:[.,]\d*)?)$/;
/** The keypad of a phone has a point and no space. */
const TWO_POINTS = /^(\d{1,3})\.(\d{1,2}\.\d*)$/;

/**
 * Reads a weight in any form people say it: `4 9.2`, `4lb9.2oz`, `4-9 1/4`, `4.9.2`, `4.58`, `2080g`, `2,08 kg`.
 *
 * Two bare numbers are pounds and ounces, whatever the farm uses, except that `2 080` is a grouped number of grams;
 * on a farm of pounds a number with two points is pounds and ounces too. One bare number is pounds or kilograms as the farm uses, and grams from 300 on.
 * Zero is read as zero; what range makes sense is the caller's to say.
 *
 * @param bareGramsFrom a bare number from here on is grams; Infinity where a whole batch is weighed
 * @returns the weight to the nearest milligram, or why it can't be read
 */
export function readWeight(text: string, system: UnitSystem, bareGramsFrom = BARE_GRAMS_FROM): WeightReading {
  const plain = spellOutFractions(text.toLowerCase()).replace(/\s+/g, " ").trim();
  if (plain === "") return { readable: false, reason: "empty" };
  if (/^[-−]/.test(plain)) return { readable: false, reason: "negative" };

  const poundsOunces = POUNDS_OUNCES.exec(plain);
  if (poundsOunces) return fromPoundsAndOunces(poundsOunces[1]!, poundsOunces[2]!);

  const withUnit = WITH_UNIT.exec(plain);
  if (withUnit) {
    const unit = withUnit[2] as keyof typeof UNITS;
    return fromNumber(readNumber(withUnit[1]!, { commaGroups: unit.startsWith("g") }), UNITS[unit]);
  }

  if (/^\d{1,3} \d{3}$/.test(plain)) return fromNumber(Number(plain.replace(" ", "")), UNITS.g);
  const two = TWO_NUMBERS.exec(plain);
  // `4 1/2` is one number, four and a half; `4 9 1/4` and `4-1/2` are pounds and ounces.
  if (two && !/^\d+ \d+\/\d+$/.test(plain)) return fromPoundsAndOunces(two[1]!, two[2]!);

  const points = system === "us" ? TWO_POINTS.exec(plain) : null;
  if (points) return fromPoundsAndOunces(points[1]!, points[2]!.replace(/\.$/, ""));

  const bare = readNumber(plain, { commaGroups: false });
  if (bare !== undefined && bare >= bareGramsFrom) return fromNumber(bare, UNITS.g);
  return fromNumber(bare, system === "us" ? UNITS.lb : UNITS.kg);
}

function fromPoundsAndOunces(pounds: string, ounces: string): WeightReading {
  const whole = readNumber(pounds);
  const part = readNumber(ounces);
  if (whole === undefined || part === undefined) return { readable: false, reason: "not-a-weight" };
  if (part >= 16) return { readable: false, reason: "ounces-past-fifteen" };
  return fromNumber(whole * 16 + part, UNITS.oz);
}

function fromNumber(value: number | undefined, milligramsEach: number): WeightReading {
  const weight = value === undefined ? Number.NaN : Math.round(value * milligramsEach);
  return Number.isSafeInteger(weight)
    ? { readable: true, weight: milligrams(weight) }
    : { readable: false, reason: "not-a-weight" };
}
