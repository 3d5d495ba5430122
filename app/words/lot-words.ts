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
