import { plural, type Show } from "#app/words/show.ts";
import type { FilledLine, Shortfall } from "#core/orders/fill-orders.ts";
import type { OrderRhythm } from "#core/orders/order-dates.ts";
import type { PaymentWay } from "#core/orders/payment-way.ts";

export const RHYTHM_WORDS: Readonly<Record<OrderRhythm, string>> = {
  once: "once",
  week: "every week",
  "two-weeks": "every two weeks",
  month: "every month",
};

export const PAYMENT_WORDS = {
  cash: "Cash",
  check: "Check",
  card: "Card",
  transfer: "Bank transfer",
  other: "Other",
} as const satisfies Readonly<Record<PaymentWay, string>>;

/** A weight that was asked for: whole pounds without their ounces. */
const asked = (milligrams: number, show: Show) => show.bird(milligrams).replace(/ lb 0 oz$/, " lb");

/** The size that is wished for; empty where any will do. */
export function sizeWords(
  {
    leastMilligrams,
    mostMilligrams,
  }: { leastMilligrams: number | undefined; mostMilligrams: number | undefined },
  show: Show,
): string {
  if (leastMilligrams !== undefined && mostMilligrams !== undefined)
    return `${asked(leastMilligrams, show)} to ${asked(mostMilligrams, show)}`;
  if (leastMilligrams !== undefined) return `${asked(leastMilligrams, show)} or more`;
  return mostMilligrams === undefined ? "" : `${asked(mostMilligrams, show)} or less`;
}

interface LineInWords {
  readonly product: string;
  readonly packs: number | undefined;
  readonly leastMilligrams: number | undefined;
  readonly mostMilligrams: number | undefined;
}

/** Such as "12 × Whole chicken, 4 lb 0 oz to 5 lb 0 oz". */
export function orderLineWords(line: LineInWords, show: Show): string {
  const size = sizeWords(line, show);
  const count = line.packs === undefined ? "Every pack of" : `${show.count(line.packs)} ×`;
  return `${count} ${line.product}${size === "" ? "" : `, ${size}`}`;
}

const SHORTFALL_WORDS: Readonly<Record<Shortfall["why"], (shortfall: Shortfall, show: Show) => string>> = {
  "none-made": () => "none is in stock, and no scheduled day makes any",
  "wrong-size": () => "there are enough, but in other sizes",
  "too-late": (shortfall, show) =>
    "readyOn" in shortfall ? `the next are ready ${show.shortDay(shortfall.readyOn)}, which is too late` : "",
  "too-few": () => "there are not enough for everyone",
};

/** What of a line can be filled, and what not and why, as short sentences. */
export function fillWords(fill: FilledLine, wanted: number | undefined, show: Show): string[] {
  const words: string[] = [];
  if (fill.packIds.length > 0) words.push(`${plural(fill.packIds.length, "pack")} in the freezers.`);
  for (const { packs, readyOn } of fill.coming)
    words.push(`${packs} likely from the birds ready ${show.shortDay(readyOn)}.`);
  if (fill.chance !== undefined && fill.coming.length > 0) words.push(chanceWords(fill.chance));
  if (fill.shortfall)
    words.push(
      `${show.count(fill.missing)} short: ${SHORTFALL_WORDS[fill.shortfall.why](fill.shortfall, show)}.`,
    );
  if (words.length === 0 && wanted === undefined)
    words.push("None yet. What is packed by then is set aside.");
  return words;
}

/** The chance that an order is filled to the last pack, in tenths. */
function chanceWords(chance: number): string {
  const tenths = Math.round(chance * 10);
  if (tenths >= 10) return "Nearly sure to be enough.";
  return tenths <= 0
    ? "Little chance of filling all of it."
    : `${tenths} chances in 10 of filling all of it.`;
}
