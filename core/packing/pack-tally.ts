/** What a carcass is for once it has been looked at and weighed. */
export const CARCASS_USES = ["sale", "own", "cut", "pets", "condemned"] as const;
export type CarcassUse = (typeof CARCASS_USES)[number];

export interface PackedCarcass {
  readonly use: CarcassUse;
  /** Undefined only for a condemned bird that was not weighed. */
  readonly weightMilligrams: number | undefined;
}

export interface PackTally {
  /** Birds dressed: all but the condemned. */
  readonly dressedCount: number;
  readonly condemnedCount: number;
  readonly totalMilligrams: number;
  readonly meanMilligrams: number | undefined;
  readonly smallestMilligrams: number | undefined;
  readonly largestMilligrams: number | undefined;
  readonly countByUse: Readonly<Record<CarcassUse, number>>;
}

/** Counts and weighs what was packed; condemned birds are counted and left out of every weight. */
export function packTally(carcasses: readonly PackedCarcass[]): PackTally {
  const countByUse = { sale: 0, own: 0, cut: 0, pets: 0, condemned: 0 };
  let totalMilligrams = 0;
  let smallestMilligrams: number | undefined;
  let largestMilligrams: number | undefined;
  for (const { use, weightMilligrams } of carcasses) {
    countByUse[use] += 1;
    if (use === "condemned" || weightMilligrams === undefined) continue;
    totalMilligrams += weightMilligrams;
    smallestMilligrams = Math.min(smallestMilligrams ?? weightMilligrams, weightMilligrams);
    largestMilligrams = Math.max(largestMilligrams ?? weightMilligrams, weightMilligrams);
  }
  const dressedCount = carcasses.length - countByUse.condemned;
  const meanMilligrams = dressedCount > 0 ? totalMilligrams / dressedCount : undefined;
  return {
    dressedCount,
    condemnedCount: countByUse.condemned,
    totalMilligrams,
    meanMilligrams,
    smallestMilligrams,
    largestMilligrams,
    countByUse,
  };
}
