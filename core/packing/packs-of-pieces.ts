export interface PiecesInPacks {
  /** Whole packs. */
  readonly packs: number;
  /** Pieces that don't fill a pack: they become an odd pack or wait for the next day's. */
  readonly leftOver: number;
}

/**
 * Packs of a fixed count of pieces. Every piece is in a pack or left over. See docs/sources.md#packs.
 *
 * @param pieces whole number, 0 or more
 * @param piecesPerPack whole number, at least 1
 * @throws {RangeError} if either is not such a number
 */
export function packsOfPieces(pieces: number, piecesPerPack: number): PiecesInPacks {
  if (!(Number.isSafeInteger(pieces) && pieces >= 0))
    throw new RangeError(`pieces must be a whole number, 0 or more, got ${pieces}`);
  if (!(Number.isSafeInteger(piecesPerPack) && piecesPerPack >= 1))
    throw new RangeError(`pieces per pack must be a whole number, at least 1, got ${piecesPerPack}`);
  return { packs: Math.floor(pieces / piecesPerPack), leftOver: pieces % piecesPerPack };
}
