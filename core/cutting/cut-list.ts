import { type BirdMeans, productOfBird } from "#core/carcass-yield/piece-weight.ts";
import { SEALER } from "#core/cutting/cutting-constants.ts";
import { type OwnShares, shareOf } from "#core/cutting/own-shares.ts";
import { packsOfPieces } from "#core/packing/packs-of-pieces.ts";
import { BIRD_PIECES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";
import { type Sealer, sealingTime } from "#core/packing/sealing-time.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { inputSetting, type Setting } from "#core/reckoning/setting.ts";

/** What one bird is taken apart into: each product with the pieces that go into a pack of it. */
export interface CutPart {
  readonly product: ProductKindName;
  readonly piecesPerPack: number;
}

/** Breasts and leg quarters by two, wings by the dozen, backs by four. See docs/sources.md#packs. */
export const USUAL_SCHEME: readonly CutPart[] = [
  { product: "breast-bone-in", piecesPerPack: 2 },
  { product: "leg-quarter", piecesPerPack: 2 },
  { product: "wing", piecesPerPack: 12 },
  { product: "back", piecesPerPack: 4 },
];

export interface ExpectedCut extends CutPart {
  readonly pieces: number;
  readonly packs: number;
  readonly leftOver: number;
  /** Of all its pieces, kg; undefined where nobody knows what a bird weighs. */
  readonly weight: Reckoning | undefined;
}

export interface CutList {
  readonly cuts: readonly ExpectedCut[];
  readonly packs: number;
  /** Minutes at the block. */
  readonly cutting: Reckoning;
  readonly sealCycles: number;
  /** Minutes to bag and load; the sealer's own cycles run beside the hands. */
  readonly sealing: Reckoning;
}

export interface CutWork {
  readonly minutesPerBird: Setting;
  readonly sealer: Sealer;
  /** What the farm's own packs say of its cuts. */
  readonly own: OwnShares;
}

/**
 * What so many birds make: pieces counted into packs, what is left over, and the hours at the block and the sealer.
 *
 * @param means of the birds that are cut; undefined where none was weighed
 * @throws {RangeError} if birds is negative
 */
export function cutList(
  birds: number,
  parts: readonly CutPart[],
  means: BirdMeans | undefined,
  { minutesPerBird, sealer, own }: CutWork,
): CutList {
  if (!(birds >= 0)) throw new RangeError(`birds must be 0 or more, got ${birds}`);
  const cuts = parts.map((part): ExpectedCut => {
    const { piece } = productKind(part.product);
    const pieces = piece === undefined ? 0 : birds * BIRD_PIECES[piece];
    return {
      ...part,
      pieces,
      ...packsOfPieces(pieces, part.piecesPerPack),
      weight: means && cutWeight(part.product, birds, means, own),
    };
  });
  // An odd pack is sealed too.
  const packs = cuts.reduce((sum, cut) => sum + cut.packs + (cut.leftOver > 0 ? 1 : 0), 0);
  return {
    cuts,
    packs,
    cutting: reckoning({
      value: birds * minutesPerBird.value,
      unit: "minutes",
      inputs: [
        input("birds-cut-up", birds, "birds", "farm-setting"),
        inputSetting("minutes-a-bird-to-cut", minutesPerBird, "minutes"),
      ],
      rule: "cutting-time",
      source: "packs",
    }),
    sealCycles: sealingTime(packs, sealer).cycles,
    sealing: sealingOf(packs, sealer),
  };
}

/** The hands bag and load while the chamber runs: the longer of the two. */
function sealingOf(packs: number, sealer: Sealer): Reckoning {
  const { cycles, minutes } = sealingTime(packs, sealer);
  return reckoning({
    value: Math.max(minutes, (packs * SEALER.bagSeconds + cycles * sealer.loadSeconds) / 60),
    unit: "minutes",
    inputs: [
      input("packs", packs, "count", "calculated"),
      input("packs-a-cycle", sealer.packsPerCycle, "count", "farm-setting"),
      input("bagging-a-pack", SEALER.bagSeconds, "seconds", "our-estimate"),
      input("loading-a-cycle", sealer.loadSeconds, "seconds", "our-estimate"),
      input("sealer-cycle", sealer.cycleSeconds, "seconds", "our-estimate"),
    ],
    rule: "sealing-time",
    source: "packs",
  });
}

const RULE_FROM = {
  "own-packs": "cut-weight-from-own-packs",
  alike: "cut-weight-from-alike",
  default: "cut-weight-by-default",
} as const;

/** What the pieces of a cut weigh together, by the farm's own packs where they speak. */
function cutWeight(
  product: ProductKindName,
  birds: number,
  means: BirdMeans,
  own: OwnShares,
): Reckoning | undefined {
  const ofBird = productOfBird(product, means);
  if (ofBird === undefined) return undefined;
  const { ratio, birds: known, from } = shareOf(product, own);
  return reckoning({
    value: ofBird * ratio * birds,
    unit: "kg",
    provenance: from === "own-packs" ? "measured" : from === "alike" ? "calculated" : "our-estimate",
    inputs: [
      input("birds-cut-up", birds, "birds", "farm-setting"),
      input("mean-dressed-weight", means.dressedKilograms, "carcass-kg", "measured"),
      input(
        "share-of-a-dressed-bird",
        (ofBird * ratio) / means.dressedKilograms,
        "fraction",
        from === "default" ? "our-estimate" : "measured",
      ),
      ...(from === "default" ? [] : [input("your-own-birds-cut", known, "birds", "measured")]),
    ],
    rule: RULE_FROM[from],
    source: from === "own-packs" ? "own-log" : "products",
  });
}

/** Packs that one bird makes on the mean, odd packs left out. */
export const packsPerBird = (parts: readonly CutPart[]): number =>
  parts.reduce((sum, { product, piecesPerPack }) => {
    const { piece } = productKind(product);
    return piece === undefined ? sum : sum + BIRD_PIECES[piece] / piecesPerPack;
  }, 0);
