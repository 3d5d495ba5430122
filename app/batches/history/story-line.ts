import { z } from "zod";
import { LIVE_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import { kilogramsFromMilligrams, milligramsFromPounds } from "#core/quantity/conversion.ts";
import { readMoney } from "#core/quantity/read-money.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import { readWeight, type UnitSystem } from "#core/quantity/read-weight.ts";

/** What a person said of a flock in one line. */
export type EnteredLine =
  | { readonly kind: "loss"; readonly birds: number; readonly cause: string }
  | {
      readonly kind: "weights";
      readonly weights: readonly { milligrams: number; asTyped: string }[];
      readonly isSure: boolean;
    }
  | { readonly kind: "feed"; readonly bags: number; readonly bagCents: number; readonly feedKind: string }
  | { readonly kind: "opened"; readonly bags: number }
  | { readonly kind: "left"; readonly bags: number }
  | { readonly kind: "to-stock" | "from-stock"; readonly bags: number }
  | { readonly kind: "gave"; readonly bags: number; readonly toName: string }
  | { readonly kind: "moved"; readonly birds: number; readonly toPen: string; readonly fromPen: string }
  | { readonly kind: "arrived"; readonly birds: number }
  | { readonly kind: "vaccine"; readonly note: string }
  | { readonly kind: "cost"; readonly cents: number; readonly what: string }
  | { readonly kind: "note"; readonly note: string };

type Read = EnteredLine | { readonly problem: string };

/** Ways to say something, each by its first word; what none of them knows is a note. */
const WAYS: readonly [pattern: RegExp, read: (found: RegExpExecArray, units: UnitSystem) => Read][] = [
  [
    /^(?:lost|dead|died|loss)\b ?(.*)$/i,
    ([, rest = ""]) => {
      const [, count, cause = ""] = /^(\d{1,5})\b[,:]? ?(.*)$/.exec(rest) ?? [];
      return count && Number(count) > 0
        ? { kind: "loss", birds: Number(count), cause }
        : { problem: "How many were lost? For example: lost 2 hawk" };
    },
  ],
  [
    /^(\d{1,5}) (?:birds? |chicks? |hens? )?(?:were |was )?(?:died|dead|lost)\b[,:]? ?(.*)$/i,
    ([, count = "", cause = ""]) =>
      Number(count) > 0
        ? { kind: "loss", birds: Number(count), cause }
        : { problem: "How many were lost? For example: lost 2 hawk" },
  ],
  [/^(?:weighed|weights?)\b:? ?(.*)$/i, ([, rest = ""], units) => readWeights(rest, units)],
  [
    /^(?:bought )?([\d.,/ ]{1,12}?) ?(?:bags?|sacks?) ?(?:of (\w{1,60}) ?)?(?:at|@|for)? ?\$?([\d.,]{1,12}) ?(.*)$/i,
    ([, count = "", kindBefore = "", price = "", kindAfter = ""]) => {
      const bags = readNumber(count, { commaGroups: false });
      const money = readMoney(price);
      if (bags === undefined || !Number.isInteger(bags) || bags < 1)
        return { problem: "How many whole bags? For example: 3 bags 18.95" };
      if (!money.readable) return { problem: "What did a bag cost? For example: 3 bags 18.95" };
      return {
        kind: "feed",
        bags,
        bagCents: money.amount,
        feedKind: (kindBefore || kindAfter).trim().slice(0, 60),
      };
    },
  ],
  [
    /^(?:bought )?[\d.,/]{1,12} ?(?:bags?|sacks?)(?: of \w{1,60})?$/i,
    () => ({ problem: "What did a bag cost? For example: 3 bags 18.95" }),
  ],
  [
    /^opened\b ?(.*)$/i,
    ([, rest = ""]) => ofBags(rest, true, (bags) => ({ kind: "opened", bags }), "opened 1 bag"),
  ],
  [
    /^left\b ?(.*)$/i,
    ([, rest = ""]) => ofBags(rest, false, (bags) => ({ kind: "left", bags }), "left 2.5 bags"),
  ],
  [
    /^(?:to|into) stock\b ?(.*)$/i,
    ([, rest = ""]) => ofBags(rest, false, (bags) => ({ kind: "to-stock", bags }), "to stock 2 bags"),
  ],
  [
    /^(?:from|out of) stock\b ?(.*)$/i,
    ([, rest = ""]) => ofBags(rest, false, (bags) => ({ kind: "from-stock", bags }), "from stock 2 bags"),
  ],
  [
    /^gave ([\d.,/ ]{1,12}?) ?(?:bags?|sacks?)? to (.+)$/i,
    ([, count = "", toName = ""]) =>
      ofBags(
        count,
        false,
        (bags) => ({ kind: "gave", bags, toName: toName.trim() }),
        "gave 1 bag to White 26-D",
      ),
  ],
  [
    /^moved\b ?(.*)$/i,
    ([, rest = ""]) => {
      const [, count, pens = ""] = /^(\d{1,5}) to (.+)$/i.exec(rest) ?? [];
      const [toPen = "", fromPen = ""] = pens.split(/ from /i);
      return count && Number(count) > 0
        ? { kind: "moved", birds: Number(count), toPen: toPen.slice(0, 40), fromPen: fromPen.slice(0, 40) }
        : {
            problem:
              "How many, and where to? For example: moved 40 to north pen, or moved 20 to west pen from east pen",
          };
    },
  ],
  [
    /^arrived\b ?(.*)$/i,
    ([, rest = ""]) =>
      /^\d{1,5}$/.test(rest.trim()) && Number(rest) > 0
        ? { kind: "arrived", birds: Number(rest) }
        : { problem: "How many arrived alive? For example: arrived 82" },
  ],
  [/^vaccinated?\b[,:]? ?(.*)$/i, ([, note = ""]) => ({ kind: "vaccine", note })],
  [
    /^(?:paid|cost)\b ?\$?([\d.,]{0,12}) ?(?:for )?(.*)$/i,
    ([, price = "", what = ""]) => {
      const money = readMoney(price);
      return money.readable && what !== ""
        ? { kind: "cost", cents: money.amount, what: what.slice(0, 200) }
        : { problem: "How much, and what for? For example: paid 36 bedding" };
    },
  ],
];

function ofBags(text: string, areWhole: boolean, make: (bags: number) => EnteredLine, example: string): Read {
  const count = text.replace(/(?:bags?|sacks?)$/i, "").trim();
  const bags = readNumber(count, { commaGroups: false });
  const isRight =
    bags !== undefined && bags >= 0 && bags <= 10_000 && (!areWhole || (Number.isInteger(bags) && bags > 0));
  return isRight ? make(bags) : { problem: `How many bags? For example: ${example}` };
}

function readWeights(text: string, units: UnitSystem): Read {
  const isSure = /\bsure\s*$/i.test(text);
  const typed = text
    .replace(/\bsure\s*$/i, "")
    .split(units === "us" ? /[;,\n]+/ : /;|\n|,(?=\s)/)
    .map((one) => one.trim())
    .filter(Boolean);
  const example = units === "us" ? "weighed 6 4, 6 2, 5 15" : "weighed 2.84; 2.79; 2.9";
  if (typed.length === 0 || typed.length > 200) return { problem: `Which weights? For example: ${example}` };
  const weights = [];
  for (const asTyped of typed) {
    const read = readWeight(asTyped, units);
    const [least, most] = LIVE_RANGE_KILOGRAMS;
    if (
      !read.readable ||
      kilogramsFromMilligrams(read.weight) < least ||
      kilogramsFromMilligrams(read.weight) > most
    )
      return { problem: `“${asTyped.slice(0, 40)}” is not a bird's weight. For example: ${example}` };
    weights.push({ milligrams: read.weight, asTyped: asTyped.slice(0, 40) });
  }
  return { kind: "weights", weights, isSure };
}

/** Reads a line of a flock's story as a person would say it. */
export function readStoryLine(text: string, units: UnitSystem): Read {
  const line = text.replace(/[^\S\n]+/g, " ").trim();
  if (line === "") return { problem: "Enter what happened, such as: lost 1 hawk" };
  if (line.length > 1000) return { problem: `Use 1,000 characters or fewer; this has ${line.length}` };
  for (const [pattern, read] of WAYS) {
    const found = pattern.exec(line);
    if (found) return read(found, units);
  }
  const onlyWeights = /^[\d\s.,;/lbozkg-]+$/i.test(line) ? readWeights(line, units) : undefined;
  return onlyWeights && !("problem" in onlyWeights) ? onlyWeights : { kind: "note", note: line };
}

export const storyLineForm = (units: UnitSystem, happenedOn: z.ZodType<string, string | undefined>) =>
  z.object({
    happenedOn,
    line: z
      .string()
      .default("")
      .transform((text, context): EnteredLine => {
        const read = readStoryLine(text, units);
        if (!("problem" in read)) return read;
        context.addIssue({ code: "custom", message: read.problem });
        return z.NEVER;
      }),
  });

/** A bag of a farm that has bought none yet: 50 lb, or 25 kg. */
export const usualBag = (units: UnitSystem): number =>
  units === "us" ? milligramsFromPounds(50) : 25_000_000;
