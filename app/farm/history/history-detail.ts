import type { Show } from "#app/words/show.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";

const MOST_LETTERS = 80;

/** A text that fits into a row. */
export const mediumText = (text: string): string =>
  text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text;

/** What an entry says of itself, the most telling first. */
const TELLING = ["name", "what", "thing", "who", "cause", "reason", "note", "how"] as const;
const DATES = /^[a-z]+On$/;

/** What is most telling of an entry, from what was sent: names, words and days; no money and no weights. */
export function entryDetail(content: readonly unknown[], show: Pick<Show, "dayWithYear">): string {
  const [, ...said] = content;
  const texts = said.filter((one): one is string => typeof one === "string" && one !== "");
  const fields = said
    .flatMap((one) => (Array.isArray(one) ? one.slice(0, 1) : [one]))
    .filter((one): one is Record<string, unknown> => typeof one === "object" && one !== null);
  const named = fields.flatMap((field) => [
    ...TELLING.flatMap((name) => textOf(field[name])),
    ...Object.entries(field)
      .filter(([name]) => DATES.test(name))
      .flatMap(([, value]) => textOf(value))
      .map((day) => (isLocalDay(day) ? show.dayWithYear(day) : day)),
  ]);
  return mediumText([...new Set([...texts, ...named].map(inWords))].slice(0, 4).join(", "));
}

/** A name of ours as one would say it: "tank-temperature" without its dash. */
const inWords = (text: string): string =>
  /^[a-z]+(?:-[a-z]+)+$/.test(text) ? text.replaceAll("-", " ") : text;

const textOf = (value: unknown): string[] => (typeof value === "string" && value !== "" ? [value] : []);
