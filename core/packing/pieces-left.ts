import {
  BIRD_PIECES,
  type BirdPiece,
  type ProductKindName,
  productKind,
} from "#core/packing/product-kinds.ts";

export interface PiecesPacked {
  readonly product: ProductKindName;
  readonly pieces: number;
}

export interface BirdsOfLot {
  /** Birds that were dressed, whole and cut. */
  readonly dressed: number;
  /** Birds that go to the knife. */
  readonly cutUp: number;
}

/** Pieces that come out when a bird is drawn; every other one comes from a bird that is cut up. */
const DRAWN: ReadonlySet<BirdPiece> = new Set(["neck", "foot", "liver", "heart", "gizzard"]);

/** Pieces of each kind in packs. A leg is packed whole, or as a thigh and a drumstick. */
function piecesIn(packed: readonly PiecesPacked[]): ReadonlyMap<BirdPiece, number> {
  const counted = new Map<BirdPiece, number>();
  for (const { product, pieces } of packed) {
    const { piece } = productKind(product);
    if (piece) counted.set(piece, (counted.get(piece) ?? 0) + pieces);
  }
  return counted;
}

/**
 * How many more pieces of a product the birds of a lot can give, given what is in packs; undefined where pieces are not counted.
 * Less than 0 where more were packed than there are.
 */
export function piecesLeft(
  product: ProductKindName,
  birds: BirdsOfLot,
  packed: readonly PiecesPacked[],
): number | undefined {
  const { piece } = productKind(product);
  if (piece === undefined) return undefined;
  const of = (one: BirdPiece) => counted.get(one) ?? 0;
  const counted = piecesIn(packed);
  const total = BIRD_PIECES[piece] * (DRAWN.has(piece) ? birds.dressed : birds.cutUp);
  const taken: Partial<Record<BirdPiece, number>> = {
    "leg-quarter": of("leg-quarter") + Math.max(of("thigh"), of("drumstick")),
    thigh: of("thigh") + of("leg-quarter"),
    drumstick: of("drumstick") + of("leg-quarter"),
    // A frame is a back with its ribs.
    back: of("back") + of("frame"),
    frame: of("back") + of("frame"),
  };
  return total - (taken[piece] ?? of(piece));
}
