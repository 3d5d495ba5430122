import { seededRandom } from "#core/quantity/seeded-random.ts";

/** One of those who share: how many birds they get, and what these should weigh together. */
export interface SharePart {
  readonly birds: number;
  /** In the unit of the weights. */
  readonly target: number;
}

export interface FairShare {
  /** For each bird, in the order of the weights, the part that gets it. */
  readonly partOf: readonly number[];
  /** The largest that any part gets too much or too little, in the unit of the weights. */
  readonly largestGap: number;
  /** Whether no other way is fairer. Else it was searched for until the gap was small enough, or no better one was found. */
  readonly isExact: boolean;
}

/** Up to so many birds every way is tried. See docs/sources.md#sharing. */
const MOST_BIRDS_TRIED = 12;
/** Times that a larger set is shaken up and improved anew. */
const MOST_SHAKES = 60;
/** Birds that change hands in a shake. */
const SWAPS_IN_A_SHAKE = 4;

/** Mean of the weights, in their unit. @throws {RangeError} if there are none */
export function meanOf(weights: readonly number[]): number {
  if (weights.length === 0) throw new RangeError("there must be a bird to share");
  return weights.reduce((sum, weight) => sum + weight, 0) / weights.length;
}

/**
 * Shares birds so that the largest gap between what a part gets and what it should get is as small as can be: exactly for a dozen birds,
 * else by swaps, which stop below one step of the scale.
 *
 * @param closeEnough a gap that nobody could weigh, in the unit of the weights
 * @param random numbers of at least 0 and below 1, for larger sets
 * @throws {RangeError} if there are not as many birds as the parts get
 */
export function fairShare(
  weights: readonly number[],
  parts: readonly SharePart[],
  closeEnough: number,
  random: () => number,
): FairShare {
  const birds = parts.reduce((sum, part) => sum + part.birds, 0);
  if (birds !== weights.length)
    throw new RangeError(`the parts must get all ${weights.length} birds, got ${birds}`);
  if (weights.length <= MOST_BIRDS_TRIED) return tryEveryWay(weights, parts);
  return searchBySwaps(weights, parts, closeEnough, random);
}

/** As `fairShare`, all in one: for a thread that has to be sent what it works out. The same birds are always shared in the same way. */
export const fairShareOf = (asked: {
  readonly weights: readonly number[];
  readonly parts: readonly SharePart[];
  readonly closeEnough: number;
}): FairShare => fairShare(asked.weights, asked.parts, asked.closeEnough, seededRandom(asked.weights.length));

/** What each part gets too much, or too little where it is less than 0. */
export function gapsOf(
  weights: readonly number[],
  parts: readonly SharePart[],
  partOf: readonly number[],
): number[] {
  const gaps = parts.map(({ target }) => -target);
  weights.forEach((weight, bird) => {
    gaps[partOf[bird]!]! += weight;
  });
  return gaps;
}

const largest = (gaps: readonly number[]) => gaps.reduce((most, gap) => Math.max(most, Math.abs(gap)), 0);

/** Gives the heaviest birds first, and leaves a way as soon as some part has too much already. */
function tryEveryWay(weights: readonly number[], parts: readonly SharePart[]): FairShare {
  const heavyFirst = weights.map((_, bird) => bird).toSorted((one, other) => weights[other]! - weights[one]!);
  const left = parts.map(({ birds }) => birds);
  const gaps = parts.map(({ target }) => -target);
  const partOf = weights.map(() => 0);
  let best: readonly number[] = [];
  let bestGap = Number.POSITIVE_INFINITY;
  const give = (place: number) => {
    const bird = heavyFirst[place];
    if (bird === undefined) {
      const gap = largest(gaps);
      if (gap < bestGap) {
        bestGap = gap;
        best = [...partOf];
      }
      return;
    }
    const tried = new Set<string>();
    for (let part = 0; part < parts.length; part += 1) {
      // Two parts that stand alike lead to the same ways.
      const standing = `${left[part]} ${gaps[part]}`;
      if (left[part] === 0 || tried.has(standing)) continue;
      tried.add(standing);
      if (gaps[part]! + weights[bird]! >= bestGap) continue;
      left[part]! -= 1;
      gaps[part]! += weights[bird]!;
      partOf[bird] = part;
      give(place + 1);
      left[part]! += 1;
      gaps[part]! -= weights[bird]!;
    }
  };
  give(0);
  return { partOf: best, largestGap: bestGap === Number.POSITIVE_INFINITY ? 0 : bestGap, isExact: true };
}

/** Begins with the heaviest to whoever needs most a bird, and swaps; what is stuck is shaken up, and the best way is kept. */
function searchBySwaps(
  weights: readonly number[],
  parts: readonly SharePart[],
  closeEnough: number,
  random: () => number,
): FairShare {
  let best = swapUntilStuck(weights, parts, firstWay(weights, parts), closeEnough);
  for (let shake = 0; shake < MOST_SHAKES && best.largestGap > closeEnough; shake += 1) {
    const shaken = [...best.partOf];
    for (let swap = 0; swap < SWAPS_IN_A_SHAKE; swap += 1) {
      const one = Math.floor(random() * weights.length);
      const other = Math.floor(random() * weights.length);
      [shaken[one], shaken[other]] = [shaken[other]!, shaken[one]!];
    }
    const next = swapUntilStuck(weights, parts, shaken, closeEnough);
    if (next.largestGap < best.largestGap) best = next;
  }
  return best;
}

function firstWay(weights: readonly number[], parts: readonly SharePart[]): number[] {
  const heavyFirst = weights.map((_, bird) => bird).toSorted((one, other) => weights[other]! - weights[one]!);
  const left = parts.map(({ birds, target }) => ({ birds, target }));
  const partOf = weights.map(() => 0);
  for (const bird of heavyFirst) {
    // Whoever should get the heaviest birds from here on.
    const next = left.reduce(
      (most, part, index) =>
        part.birds > 0 && (most === -1 || part.target / part.birds > left[most]!.target / left[most]!.birds)
          ? index
          : most,
      -1,
    );
    left[next]!.birds -= 1;
    left[next]!.target -= weights[bird]!;
    partOf[bird] = next;
  }
  return partOf;
}

/** Swaps two birds of two parts as long as that makes the sum of the squared gaps smaller. */
function swapUntilStuck(
  weights: readonly number[],
  parts: readonly SharePart[],
  from: readonly number[],
  closeEnough: number,
): FairShare {
  const partOf = [...from];
  const gaps = gapsOf(weights, parts, partOf);
  for (let isBetter = true; isBetter && largest(gaps) > closeEnough; ) {
    isBetter = false;
    const worst = gaps.reduce((most, gap, part) => (Math.abs(gap) > Math.abs(gaps[most]!) ? part : most), 0);
    let saved = 1e-9;
    let swap: readonly [number, number] | undefined;
    for (let one = 0; one < weights.length; one += 1) {
      if (partOf[one] !== worst) continue;
      for (let other = 0; other < weights.length; other += 1) {
        const part = partOf[other]!;
        if (part === worst) continue;
        const moved = weights[one]! - weights[other]!;
        // (g1 - m)² + (g2 + m)² against g1² + g2².
        const gain = 2 * moved * (gaps[worst]! - gaps[part]! - moved);
        if (gain > saved) {
          saved = gain;
          swap = [one, other];
        }
      }
    }
    if (!swap) continue;
    const [one, other] = swap;
    const moved = weights[one]! - weights[other]!;
    gaps[worst]! -= moved;
    gaps[partOf[other]!]! += moved;
    [partOf[one], partOf[other]] = [partOf[other]!, partOf[one]!];
    isBetter = true;
  }
  return { partOf, largestGap: largest(gaps), isExact: false };
}
