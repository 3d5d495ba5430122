export const WHICH_BIRDS_CUT = ["biggest", "smallest"] as const;
export type WhichBirdsCut = (typeof WHICH_BIRDS_CUT)[number];

interface WeighedBird {
  readonly birdNumber: number;
  readonly weightMilligrams: number | undefined;
}

/** The heaviest or the lightest so many of some birds, alike ones in the order of their numbers; all where there are fewer. */
export const chooseBirds = <Bird extends WeighedBird>(
  birds: readonly Bird[],
  count: number,
  which: WhichBirdsCut,
): Bird[] => {
  const sign = which === "biggest" ? -1 : 1;
  return birds
    .toSorted(
      (one, other) =>
        sign * ((one.weightMilligrams ?? 0) - (other.weightMilligrams ?? 0)) ||
        one.birdNumber - other.birdNumber,
    )
    .slice(0, count);
};

/** Whether a bird that was weighed lies here whole and may still go to the knife. */
export const isWholeHere = ({ purpose, isStored }: { purpose: string; isStored: boolean }): boolean =>
  isStored && (purpose === "sale" || purpose === "own");
