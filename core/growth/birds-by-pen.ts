/** So many birds from one pen to another; an empty name is where they were before they had one. */
interface PenMove {
  readonly fromPen: string;
  readonly toPen: string;
  readonly birdCount: number;
}

/**
 * Birds in each pen by the moves alone: the dead and the dressed are not told apart by pen. Less than 0 where a move that
 * a later one rests on is not among them.
 */
export function birdsByPen(moves: readonly PenMove[]): ReadonlyMap<string, number> {
  const birds = new Map<string, number>();
  for (const { fromPen, toPen, birdCount } of moves) {
    birds.set(toPen, (birds.get(toPen) ?? 0) + birdCount);
    if (fromPen !== "") birds.set(fromPen, (birds.get(fromPen) ?? 0) - birdCount);
  }
  return birds;
}
