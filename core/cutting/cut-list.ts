import { type BirdMeans, productOfBird } from "#core/carcass-yield/piece-weight.ts";
import { SEALER } from "#core/cutting/cutting-constants.ts";
import { packsOfPieces } from "#core/packing/packs-of-pieces.ts";
import { BIRD_PIECES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";
import { type Sealer, sealingTime } from "#core/packing/sealing-time.ts";

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
  /** Of all its pieces; undefined where nobody knows what a bird weighs. */
  readonly kilograms: number | undefined;
}

export interface CutList {
  readonly cuts: readonly ExpectedCut[];
  readonly packs: number;
  readonly cutMinutes: number;
  readonly sealCycles: number;
  /** To bag and load; the sealer's own cycles run beside the hands. */
  readonly sealMinutes: number;
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
  work: { readonly minutesPerBird: number; readonly sealer: Sealer },
): CutList {
  if (!(birds >= 0)) throw new RangeError(`birds must be 0 or more, got ${birds}`);
  const cuts = parts.map((part): ExpectedCut => {
    const { piece } = productKind(part.product);
    const pieces = piece === undefined ? 0 : birds * BIRD_PIECES[piece];
    const ofBird = means && productOfBird(part.product, means);
    return {
      ...part,
      pieces,
      ...packsOfPieces(pieces, part.piecesPerPack),
      kilograms: ofBird === undefined ? undefined : ofBird * birds,
    };
  });
  // An odd pack is sealed too.
  const packs = cuts.reduce((sum, cut) => sum + cut.packs + (cut.leftOver > 0 ? 1 : 0), 0);
  const { cycles, minutes } = sealingTime(packs, work.sealer);
  return {
    cuts,
    packs,
    cutMinutes: birds * work.minutesPerBird,
    sealCycles: cycles,
    sealMinutes: Math.max(minutes, (packs * SEALER.bagSeconds + cycles * work.sealer.loadSeconds) / 60),
  };
}

/** Packs that one bird makes on the mean, odd packs left out. */
export const packsPerBird = (parts: readonly CutPart[]): number =>
  parts.reduce((sum, { product, piecesPerPack }) => {
    const { piece } = productKind(product);
    return piece === undefined ? sum : sum + BIRD_PIECES[piece] / piecesPerPack;
  }, 0);
