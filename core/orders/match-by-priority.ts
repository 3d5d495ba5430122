/** Somebody asks for a number of things, any of some classes. */
export interface Ask {
  /** How many; `Infinity` for all there are. */
  readonly count: number;
  /** Classes that will do, each less than the number of classes. */
  readonly classes: readonly number[];
}

/**
 * Hands out things of several classes. Whoever stands first gets as much as can be given at all; whoever comes next as much as can be
 * given beside that, and so on: what the first were given may be exchanged for other classes that suit them as well, but never reduced.
 *
 * By augmenting paths.
 *
 * @param asks those who stand first come first
 * @param supply things of each class, whole numbers
 * @returns for each ask, how many it gets of each class
 */
export function matchByPriority(asks: readonly Ask[], supply: readonly number[]): number[][] {
  const free = [...supply];
  const given = asks.map(() => supply.map(() => 0));
  asks.forEach((ask, index) => {
    let wanted = ask.count;
    while (wanted > 0) {
      const moved = augment(asks, given, free, index, wanted);
      if (moved === 0) return;
      wanted -= moved;
    }
  });
  return given;
}

/** Gives one ask more along one path; 0 if there is none. */
function augment(
  asks: readonly Ask[],
  given: number[][],
  free: number[],
  index: number,
  wanted: number,
): number {
  /** By class: who would take it, and the class that they would give up for it. */
  const reachedBy = new Map<number, { taker: number; gaveUp: number | undefined }>();
  const queue: number[] = [];
  const reach = (taker: number, gaveUp: number | undefined) => {
    for (const one of asks[taker]!.classes) {
      if (reachedBy.has(one)) continue;
      reachedBy.set(one, { taker, gaveUp });
      queue.push(one);
    }
  };
  reach(index, undefined);
  for (const one of queue) {
    if (free[one]! > 0) return moveAlong(reachedBy, given, free, one, wanted);
    for (let holder = 0; holder < index; holder += 1) if (given[holder]![one]! > 0) reach(holder, one);
  }
  return 0;
}

/** Moves as much as the path carries. */
function moveAlong(
  reachedBy: ReadonlyMap<number, { taker: number; gaveUp: number | undefined }>,
  given: number[][],
  free: number[],
  last: number,
  wanted: number,
): number {
  const steps: { taker: number; takes: number; gaveUp: number | undefined }[] = [];
  for (let takes: number | undefined = last; takes !== undefined; ) {
    const { taker, gaveUp }: { taker: number; gaveUp: number | undefined } = reachedBy.get(takes)!;
    steps.push({ taker, takes, gaveUp });
    takes = gaveUp;
  }
  const carried = steps.reduce(
    (most, { taker, gaveUp }) => (gaveUp === undefined ? most : Math.min(most, given[taker]![gaveUp]!)),
    Math.min(wanted, free[last]!),
  );
  free[last]! -= carried;
  for (const { taker, takes, gaveUp } of steps) {
    given[taker]![takes]! += carried;
    if (gaveUp !== undefined) given[taker]![gaveUp]! -= carried;
  }
  return carried;
}
