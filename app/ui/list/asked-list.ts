/** Which part of a long list is asked for by the address: a year, or what is looked for in all years. */
export interface AskedList {
  /** All there are, the latest first. */
  readonly years: readonly string[];
  /** The one shown; undefined where something is looked for, or nothing is there. */
  readonly year: string | undefined;
  /** What is looked for; empty for nothing. */
  readonly find: string;
}

const MOST_CHARACTERS = 60;

/** @param days of everything in the list, as `YYYY-MM-DD` */
export function askedList(request: Request, days: readonly string[]): AskedList {
  const { searchParams } = new URL(request.url);
  const years = [...new Set(days.map((day) => day.slice(0, 4)))].toSorted().toReversed();
  const find = (searchParams.get("find") ?? "").trim().slice(0, MOST_CHARACTERS);
  const asked = searchParams.get("year");
  const year = years.find((one) => one === asked) ?? years[0];
  return { years, year: find === "" ? year : undefined, find };
}

/** Whether something of a list is in the part that is asked for. @param words in which it is looked for */
export const isAsked = ({ year, find }: AskedList, day: string, words: string): boolean =>
  find === "" ? year === undefined || day.startsWith(year) : isFound(find, `${words} ${day}`);

/** Whether every word that is looked for is in the text, in whatever order. */
const isFound = (find: string, text: string): boolean => {
  const within = text.toLowerCase();
  return find
    .toLowerCase()
    .split(/\s/)
    .every((word) => within.includes(word));
};
