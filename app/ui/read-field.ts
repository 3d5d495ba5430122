import { z } from "zod";
import { showUnits } from "#app/words/show.ts";
import { isTimeZone } from "#core/calendar/farm-time.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";
import { rangeVerdict } from "#core/packing/carcass-range.ts";
import {
  kilogramsFromMilligrams,
  MILLILITERS_PER_GALLON,
  millicelsiusFromFahrenheit,
} from "#core/quantity/conversion.ts";
import { readMoney } from "#core/quantity/read-money.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import { readVolume } from "#core/quantity/read-volume.ts";
import { readWeight, type UnitSystem } from "#core/quantity/read-weight.ts";

/** What a reader makes of the text of one field: a value, or a sentence that says what to do. */
type Read<Value> = { value: Value } | { problem: string };

/** Longest text of a number, a day or a time: checked before any pattern looks at it. */
const MAX_NUMBER_LENGTH = 60;

function field<Value>(read: (text: string) => Read<Value>, maxLength = MAX_NUMBER_LENGTH) {
  return z
    .string()
    .default("")
    .transform((text, context): Value => {
      const plain = text.trim();
      const answer: Read<Value> =
        plain.length > maxLength
          ? { problem: `That is too long: at most ${maxLength} characters` }
          : read(plain);
      if ("value" in answer) return answer.value;
      context.addIssue({ code: "custom", message: answer.problem });
      return z.NEVER;
    });
}

/** A field that may be left empty, which then reads as undefined. */
export function optional<Value>(reader: z.ZodType<Value, string | undefined>) {
  return z
    .string()
    .default("")
    .transform((text, context): Value | undefined => {
      if (text.trim() === "") return undefined;
      const answer = reader.safeParse(text);
      if (answer.success) return answer.data;
      for (const { message } of answer.error.issues) context.addIssue({ code: "custom", message });
      return z.NEVER;
    });
}

/** Line breaks and other characters that print nothing would start a line of their own in a calendar or a table. */
const UNPRINTED = /[\p{Cc}\p{Cs}\u2028\u2029]+/gu;
/** No form of ours is longer. */
const MAX_TEXT_LENGTH = 64 * 1024;

/** One line of text. */
export function words(most: number, ask: string) {
  return field((typed) => {
    const text = typed.replace(UNPRINTED, " ");
    if (text === "") return { problem: ask };
    return text.length > most
      ? { problem: `Use ${most} characters or fewer; this has ${text.length}` }
      : { value: text };
  }, MAX_TEXT_LENGTH);
}

export function wholeNumber({ least = 0, most, ask }: { least?: number; most: number; ask: string }) {
  return field((text) => {
    if (text === "") return { problem: ask };
    if (/^[-−]\s*\d/.test(text)) return { problem: `This can't be below 0. ${ask}` };
    if (!/^\d{1,9}$/.test(text)) return { problem: "Enter a whole number, such as 31" };
    const value = Number(text);
    if (value < least) return { problem: `Enter at least ${least}` };
    return value > most ? { problem: `That is too much: at most ${showUnits("us").count(most)}` } : { value };
  });
}

export function money(ask: string, most = 100_000_000) {
  return field((text) => {
    const reading = readMoney(text);
    if (reading.readable) {
      return reading.amount > most
        ? { problem: "That amount is too large; check the decimal point" }
        : { value: reading.amount };
    }
    const problems = {
      empty: ask,
      negative: "A price can't be below 0. Remove the minus sign",
      "not-an-amount": "Enter an amount, such as 18.50",
      "parts-of-a-cent": "Use at most two decimal places",
    };
    return { problem: problems[reading.reason] };
  });
}

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
    /** Finds the number and its unit in a text. */
    pattern: RegExp;
    thousandths: (number: number, unit: string | undefined) => number;
    show: (value: number) => string;
    example: string;
  },
) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const [, sign, digits, unit] = pattern.exec(text) ?? [];
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
    pattern: /^([-−]?)\s*([\d.,]+)\s*°?\s*([cf]?)$/i,
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
    pattern: /^()([\d.,\s/]+?)\s*(l|lit(?:er|re)s?|gal|gallons?)?$/i,
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

/** A positive number that need not be whole: bags left, hours worked. */
export function amount({ most, ask }: { most: number; ask: string }) {
  return field((text) => {
    if (text === "") return { problem: ask };
    if (/^[-−]/.test(text)) return { problem: "This can't be below 0" };
    const value = readNumber(text, { commaGroups: false });
    if (value === undefined) return { problem: "Enter a number, such as 1.5 or 1 1/2" };
    return value > most ? { problem: `That is too much: at most ${showUnits("us").count(most)}` } : { value };
  });
}

/** A percentage, read to tenths of a percent: thousandths. */
export function percent({ least, most, ask }: { least: number; most: number; ask: string }) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const value = readNumber(text.replace(/\s*%$/, ""), { commaGroups: false });
    if (value === undefined) return { problem: "Enter a percentage, such as 1.2" };
    if (value < least || value > most) return { problem: `Enter a value between ${least} and ${most} %` };
    const tenths = Math.round(value * 10);
    return Math.abs(tenths - value * 10) > 1e-9
      ? { problem: "Use at most one decimal place, such as 1.2" }
      : { value: tenths };
  });
}

/** A day, `YYYY-MM-DD`, between two others, both included. */
export function localDay({
  ask,
  from,
  to,
}: {
  ask: string;
  from?: { day: string; problem: string };
  to?: { day: string; problem: string };
}) {
  return field((text) => {
    if (text === "") return { problem: ask };
    if (!isLocalDay(text))
      return { problem: "That date does not exist. Enter year-month-day, such as 2026-09-19" };
    if (from && text < from.day) return { problem: from.problem };
    if (to && text > to.day) return { problem: to.problem };
    return text < "1990-01-01" || text > "2099-12-31"
      ? { problem: "That year is out of range" }
      : { value: text };
  });
}

/** A clock time, `HH:MM`. */
export const clockTime = field((text) => {
  const match = /^(\d{1,2})[:.](\d{2})$/.exec(text);
  if (!match || Number(match[1]) > 23 || Number(match[2]) > 59)
    return { problem: "Enter a time between 00:00 and 23:59, such as 07:00" };
  return { value: `${match[1]!.padStart(2, "0")}:${match[2]}` };
});

export const timeZone = field((text) =>
  isTimeZone(text) && text.length <= 64
    ? { value: text }
    : { problem: "Enter a time zone as Continent/City, such as America/New_York" },
);

/** Degrees north or east, to a millionth. */
export function degrees(most: number, ask: string) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const match = /^([-−]?)(\d{1,3}(?:[.,]\d+)?)\s*°?\s*([nsew]?)$/i.exec(text);
    if (!match) return { problem: "Enter decimal degrees, such as 43.9 or -71.6" };
    const size = Number(match[2]!.replace(",", "."));
    const isNegative = match[1] !== "" || /[sw]/i.test(match[3]!);
    if (size > most) return { problem: `Enter degrees from -${most} to ${most}` };
    return { value: Math.round((isNegative ? -size : size) * 1e6) };
  });
}

/** One of several; anything else means that nothing was chosen. */
export function choice<const Options extends readonly [string, ...string[]]>(options: Options, ask: string) {
  return z.enum(options, { error: ask });
}

/** A box that is ticked or not. */
export const tick = z
  .string()
  .optional()
  .transform((value) => value !== undefined);

/** The id that a form carries so that sending it twice keeps it once. */
export const isEntryId = (text: string): boolean => /^[\w-]{8,64}$/.test(text);
export const entryId = z.string().refine(isEntryId);
