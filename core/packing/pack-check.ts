import { type BirdsOfLot, type PiecesPacked, piecesLeft } from "#core/packing/pieces-left.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";

/** So far from what its pieces usually weigh that the count or the weight is likely a slip. Choices. See docs/sources.md#packs. */
const LEAST_SHARE = 0.5;
const MOST_SHARE = 1.8;

export interface PackToCheck {
  readonly product: ProductKindName;
  readonly pieces: number;
  readonly kilograms: number;
  readonly birds: BirdsOfLot;
  /** Other packs of the lot. */
  readonly packed: readonly PiecesPacked[];
  /** What a piece usually weighs, kg; undefined where nobody knows. */
  readonly pieceKilograms: number | undefined;
  /** All that the lot's birds weigh that it can come from, kg; undefined where they were not weighed. */
  readonly birdsKilograms: number | undefined;
}

export type PackDoubt =
  /** Never true: more than the birds have, or weigh. */
  | { readonly doubt: "too-many-pieces"; readonly left: number }
  | { readonly doubt: "heavier-than-birds"; readonly birdsKilograms: number }
  /** To be asked: it weighs like another count of pieces. */
  | { readonly doubt: "unlikely-weight"; readonly likePieces: number };

/** What is doubtful about a pack that was just weighed; undefined where nothing is. */
export function packDoubt(pack: PackToCheck): PackDoubt | undefined {
  const { product, pieces, kilograms, birdsKilograms, pieceKilograms } = pack;
  const left = piecesLeft(product, pack.birds, pack.packed);
  if (left !== undefined && pieces > left) return { doubt: "too-many-pieces", left: Math.max(0, left) };
  if (birdsKilograms !== undefined && kilograms > birdsKilograms)
    return { doubt: "heavier-than-birds", birdsKilograms };
  if (pieceKilograms === undefined || pieces === 0) return undefined;
  const share = kilograms / (pieces * pieceKilograms);
  return share < LEAST_SHARE || share > MOST_SHARE
    ? { doubt: "unlikely-weight", likePieces: Math.max(1, Math.round(kilograms / pieceKilograms)) }
    : undefined;
}
