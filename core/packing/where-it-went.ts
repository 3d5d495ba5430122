import { MILLIGRAMS_PER_KILOGRAM } from "#core/quantity/conversion.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

export const WENT_KINDS = [
  "whole",
  "cut",
  "giblets",
  "feet",
  "boiled",
  "dried",
  "minced",
  "rendered",
  "pets",
  "trim",
  "condemned",
  "compost",
  "not-weighed",
] as const;
export type WentKind = (typeof WENT_KINDS)[number];

export interface WentRow {
  readonly kind: WentKind;
  /** The product or what was composted; empty where the kind says it all. */
  readonly what: string;
  readonly milligrams: number;
  readonly packs: number;
}

export interface WentInput {
  /** All birds of the day as they were alive, mg. */
  readonly liveMilligrams: number;
  /** Packs made of raw birds, and loads that went in to be boiled, dried, minced, rendered; compost; condemned birds. */
  readonly rows: readonly WentRow[];
  /** Dressed weight of the birds that were cut up, mg. */
  readonly cutBirdsMilligrams: number;
}

export interface WhereItWent {
  readonly rows: readonly WentRow[];
  /** What went out weighs more than the birds did: a weight is wrong. */
  readonly isTooMuch: boolean;
}

/**
 * Every milligram of the live birds, once: what is in packs, what went on to be boiled or dried, what of the cut birds is in no pack,
 * and the rest, which nobody weighed: mostly blood, feathers and offal. The rows add up to the live weight exactly.
 *
 * @param rows none of them of kind "trim" or "not-weighed", which follow from the others
 */
export function whereItWent({ liveMilligrams, rows, cutBirdsMilligrams }: WentInput): WhereItWent {
  const total = (some: readonly WentRow[]) => some.reduce((sum, { milligrams }) => sum + milligrams, 0);
  const fromCutBirds = total(rows.filter(({ kind }) => FROM_CUT_BIRDS.has(kind)));
  const trim = Math.max(0, cutBirdsMilligrams - fromCutBirds);
  const known = [...rows, { kind: "trim", what: "", milligrams: trim, packs: 0 } as const];
  const rest = liveMilligrams - total(known);
  const all = [...known, { kind: "not-weighed", what: "", milligrams: rest, packs: 0 } as const];
  return {
    rows: all
      .filter(({ milligrams }) => milligrams !== 0)
      .toSorted((one, other) => WENT_KINDS.indexOf(one.kind) - WENT_KINDS.indexOf(other.kind)),
    isTooMuch: rest < 0,
  };
}

const FROM_CUT_BIRDS: ReadonlySet<WentKind> = new Set(["cut", "boiled", "minced"]);

/** Packs of meat, and what else is used of a bird. */
const IN_PACKS: ReadonlySet<WentKind> = new Set(["whole", "cut", "minced"]);
const PUT_TO_USE: ReadonlySet<WentKind> = new Set(["giblets", "feet", "boiled", "dried", "rendered", "pets"]);

/** What share of the live birds was put to use, with its working: meat in packs, and with everything else. */
export function usedOfLive(
  { rows }: Pick<WhereItWent, "rows">,
  liveMilligrams: number,
  isLiveMeasured: boolean,
): { readonly meatFraction: number; readonly used: Reckoning } {
  const of = (kinds: ReadonlySet<WentKind>) =>
    rows.reduce((sum, { kind, milligrams }) => (kinds.has(kind) ? sum + milligrams : sum), 0);
  const meat = of(IN_PACKS);
  const beside = of(PUT_TO_USE);
  const kilograms = (milligrams: number) => milligrams / MILLIGRAMS_PER_KILOGRAM;
  return {
    meatFraction: meat / liveMilligrams,
    used: reckoning({
      value: (meat + beside) / liveMilligrams,
      unit: "fraction",
      inputs: [
        input("in-packs", kilograms(meat), "kg", "measured"),
        input("put-to-other-use", kilograms(beside), "kg", "measured"),
        input(
          "live-weight-of-all",
          kilograms(liveMilligrams),
          "kg",
          isLiveMeasured ? "measured" : "our-estimate",
        ),
      ],
      rule: "used-of-live",
      source: "own-log",
    }),
  };
}
