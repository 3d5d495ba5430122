import { type BirdSpread, limitsOf, shareBelow } from "#core/growth/bird-spread.ts";
import { normalDensity, normalShareBelow } from "#core/quantity/normal.ts";

/** Birds that are expected in one part of a divided flock. */
export interface Part {
  readonly birds: number;
  readonly meanKilograms: number;
  /** Spread between the birds of the part, standard deviation. */
  readonly sdKilograms: number;
  readonly maleShare: number;
}

export interface DividedFlock {
  readonly taken: Part;
  readonly left: Part;
}

const STEPS = 600;

/**
 * What is to be expected of the largest n birds of a flock of N, and of those left: exact expected order statistics
 * of the mixture of sexes, sum of top n = N int x f(x) P(fewer than n of the other N - 1 are heavier) dx.
 *
 * Taken and left together are the whole flock: their birds and their weight add up.
 *
 * @param spread weights of single birds; males first
 * @throws {RangeError} if the birds to take are not a whole number from 0 to those there are
 */
export function takeLargest(spread: BirdSpread, birds: number, taking: number): DividedFlock {
  if (!Number.isInteger(taking) || taking < 0 || taking > birds)
    throw new RangeError(`birds to take must be 0 to ${birds}, got ${taking}`);
  const [low, high] = limitsOf(spread);
  const step = (high - low) / STEPS;
  const taken = { share: 0, weight: 0, square: 0, males: 0 };
  const all = { share: 0, weight: 0, square: 0, males: 0 };
  for (let index = 0; index <= STEPS; index += 1) {
    const weight = low + index * step;
    // Simpson's rule.
    const rule = ((index === 0 || index === STEPS ? 1 : index % 2 === 1 ? 4 : 2) * step) / 3;
    const isTaken = fewerThan(taking, birds - 1, 1 - shareBelow(spread, weight));
    spread.sexes.forEach(({ share, mean, sd }, sex) => {
      const here = (rule * share * normalDensity((weight - mean) / sd)) / sd;
      const isMale = spread.sexes.length === 2 && sex === 0;
      add(all, here, weight, isMale);
      add(taken, here * isTaken, weight, isMale);
    });
  }
  const onlySex = spread.sexes.length === 1 ? Number(spread.sexes[0]!.share) : undefined;
  const left = {
    share: all.share - taken.share,
    weight: all.weight - taken.weight,
    square: all.square - taken.square,
    males: all.males - taken.males,
  };
  return { taken: part(taken, taking, onlySex), left: part(left, birds - taking, onlySex) };
}

type Sum = { share: number; weight: number; square: number; males: number };

function add(sum: Sum, share: number, weight: number, isMale: boolean): void {
  sum.share += share;
  sum.weight += share * weight;
  sum.square += share * weight * weight;
  if (isMale) sum.males += share;
}

function part({ share, weight, square, males }: Sum, birds: number, onlySex: number | undefined): Part {
  if (birds === 0) return { birds: 0, meanKilograms: 0, sdKilograms: 0, maleShare: 0 };
  const meanKilograms = weight / share;
  return {
    birds,
    meanKilograms,
    sdKilograms: Math.sqrt(Math.max(0, square / share - meanKilograms ** 2)),
    maleShare: onlySex ?? males / share,
  };
}

/** From so many birds on the binomial is taken as normal; the error is far below one bird. */
const MANY = 2000;

/** Chance that fewer than n of `trials` come true, each with a chance. */
function fewerThan(n: number, trials: number, chance: number): number {
  if (n <= 0) return 0;
  if (n > trials) return 1;
  if (chance <= 0) return 1;
  if (chance >= 1) return 0;
  if (trials > MANY)
    return normalShareBelow((n - 0.5 - trials * chance) / Math.sqrt(trials * chance * (1 - chance)));
  // From the likelier end, so that the first term does not vanish: as logarithms, then as a running product.
  let logTerm = trials * Math.log1p(-chance);
  const logOdds = Math.log(chance) - Math.log1p(-chance);
  let sum = 0;
  for (let count = 0; count < n; count += 1) {
    sum += Math.exp(logTerm);
    logTerm += Math.log((trials - count) / (count + 1)) + logOdds;
  }
  return Math.min(1, sum);
}
