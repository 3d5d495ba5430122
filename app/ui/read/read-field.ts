import { z } from "zod";
import { showUnits } from "#app/words/show.ts";
import { readMoney } from "#core/quantity/read-money.ts";
import { readNumber } from "#core/quantity/read-number.ts";

/** What a reader makes of the text of one field: a value, or a sentence that says what to do. */
type Read<Value> = { value: Value } | { problem: string };

/** Longest text of a number, a day or a time: checked before any pattern looks at it. */
const MAX_NUMBER_LENGTH = 60;

/** One field, read by a function. Too long a text is not looked at. */
export function field<Value>(read: (text: string) => Read<Value>, maxLength = MAX_NUMBER_LENGTH) {
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

/** A percentage, as a whole number of its smallest step: thousandths with one decimal place, ten-thousandths with two. */
export function percent({
  least,
  most,
  ask,
  decimals = 1,
}: {
  least: number;
  most: number;
  ask: string;
  decimals?: 1 | 2;
}) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const value = readNumber(text.replace(/%$/, ""), { commaGroups: false });
    if (value === undefined) return { problem: "Enter a percentage, such as 1.2" };
    if (value < least || value > most) return { problem: `Enter a value between ${least} and ${most} %` };
    const steps = Math.round(value * 10 ** decimals);
    return Math.abs(steps - value * 10 ** decimals) > 1e-9
      ? {
          problem: `Use at most ${decimals === 1 ? "one decimal place, such as 1.2" : "two decimal places, such as 8.25"}`,
        }
      : { value: steps };
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
