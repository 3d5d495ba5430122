import { plural } from "#app/words/show.ts";

/** As much of a lot as is said of it. */
export interface LotNamed {
  readonly birds: number;
  readonly batchName: string;
}

/** A day's birds by their batches: "30 birds of White 26-A and 12 of Cockerels 26-C". */
export const lotsInWords = (lots: readonly LotNamed[]): string =>
  listed(
    lots.map(({ birds, batchName }, index) =>
      index === 0 ? `${plural(birds, "bird")} of ${batchName}` : `${birds} of ${batchName}`,
    ),
  );

/** The names of a day's batches: "White 26-A and Cockerels 26-C". */
export const batchesInWords = (lots: readonly Pick<LotNamed, "batchName">[]): string =>
  listed(lots.map(({ batchName }) => batchName));

/** Things one after the other, an "and" before the last. */
export function listed(words: readonly string[]): string {
  if (words.length <= 2) return words.join(" and ");
  return `${words.slice(0, -1).join(", ")}, and ${words.at(-1)}`;
}

/** Numbers in order, runs of them by their ends: "3, 7 to 9, and 12". */
export function numbersInWords(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  return listed(
    runs.flatMap(([from, to]) => {
      if (from === to) return [`${from}`];
      return to === from + 1 ? [`${from}`, `${to}`] : [`${from} to ${to}`];
    }),
  );
}
