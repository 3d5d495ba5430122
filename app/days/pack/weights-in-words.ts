import { plural, type Show } from "#app/words/show.ts";
import type { PackTally } from "#core/packing/pack-tally.ts";
import type { Carcass } from "#db/pack/pack-row.server.ts";

/** Weights of the birds that are not condemned, in the order they came. */
export const dressedWeights = (carcasses: readonly Carcass[]): number[] =>
  carcasses.flatMap(({ purpose, weightMilligrams }) =>
    purpose === "condemned" || weightMilligrams === undefined ? [] : [weightMilligrams],
  );

/** How many, about what, from what to what. */
export function tallySentence(tally: PackTally, show: Show): string {
  const { meanMilligrams, smallestMilligrams, largestMilligrams, dressedCount } = tally;
  if (meanMilligrams === undefined) return "No birds weighed yet.";
  return `${plural(dressedCount, "bird")} about ${show.bird(meanMilligrams)}, from ${show.bird(smallestMilligrams!)} to ${show.bird(largestMilligrams!)}.`;
}
