import type { SexMix } from "#core/growth/sex-mix.ts";
import { normalDensity, normalShareBelow } from "#core/quantity/normal.ts";

/** Weights of single birds: each sex normal about its own mean. */
export interface BirdSpread {
  readonly sexes: readonly { readonly share: number; readonly mean: number; readonly sd: number }[];
}

/**
 * The spread of single birds about a flock's mean.
 *
 * @param meanKilograms weight on the as-hatched curve times the flock's own factor, before sex
 * @param forecastSdLn how unsure that mean is, sd of its logarithm; 0 for the flock as it stands
 */
export function birdSpread(meanKilograms: number, mix: SexMix, forecastSdLn = 0): BirdSpread {
  const cv = Math.hypot(mix.cvWithinSex, forecastSdLn);
  const sex = (share: number, factor: number) => {
    const mean = meanKilograms * factor;
    return { share, mean, sd: mean * cv };
  };
  return {
    sexes: [sex(mix.maleShare, mix.maleFactor), sex(1 - mix.maleShare, mix.femaleFactor)].filter(
      ({ share }) => share > 0,
    ),
  };
}

/** The same birds dressed, or in any other unit. */
export function timesSpread({ sexes }: BirdSpread, factor: number): BirdSpread {
  return { sexes: sexes.map(({ share, mean, sd }) => ({ share, mean: mean * factor, sd: sd * factor })) };
}

/** Share of the birds below a weight. */
export function shareBelow({ sexes }: BirdSpread, weight: number): number {
  return sexes.reduce((sum, { share, mean, sd }) => sum + share * normalShareBelow((weight - mean) / sd), 0);
}

/** Number of birds to one unit of weight at a weight, as a share of the flock. */
function densityAt({ sexes }: BirdSpread, weight: number): number {
  return sexes.reduce(
    (sum, { share, mean, sd }) => sum + (share * normalDensity((weight - mean) / sd)) / sd,
    0,
  );
}

/** The weight below which a share of the birds lies. @throws {RangeError} if the share is not between 0 and 1, both left out. */
export function weightAtShare(spread: BirdSpread, share: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`share must lie between 0 and 1, got ${share}`);
  let [low, high] = limitsOf(spread);
  let weight = (low + high) / 2;
  // Newton's steps, and a halving wherever one would leave the bracket.
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const past = shareBelow(spread, weight) - share;
    if (past < 0) low = weight;
    else high = weight;
    const next = weight - past / densityAt(spread, weight);
    const inside = next > low && next < high ? next : (low + high) / 2;
    if (Math.abs(inside - weight) < CLOSE_ENOUGH * weight) return inside;
    weight = inside;
  }
  return weight;
}

const MOST_STEPS = 100;
const CLOSE_ENOUGH = 1e-10;

/** Weights between which all birds lie but about one in 10^15. */
export function limitsOf({ sexes }: BirdSpread): [number, number] {
  const lows = sexes.map(({ mean, sd }) => mean - 8 * sd);
  const highs = sexes.map(({ mean, sd }) => mean + 8 * sd);
  return [Math.min(...lows), Math.max(...highs)];
}

/**
 * Share of the birds in each class of size: below the first edge, between each two, and from the last one up.
 *
 * @param edges rising; may be empty
 * @throws {RangeError} if the edges do not rise
 */
export function sizeClasses(spread: BirdSpread, edges: readonly number[]): number[] {
  if (edges.some((edge, index) => index > 0 && edge <= edges[index - 1]!))
    throw new RangeError(`edges must rise, got ${edges.join(", ")}`);
  const below = [0, ...edges.map((edge) => shareBelow(spread, edge)), 1];
  return below.slice(1).map((share, index) => share - below[index]!);
}

/** Mean weight of the birds between two weights, and their share of the flock. */
export function between(spread: BirdSpread, low: number, high: number): { share: number; weight: number } {
  let share = 0;
  let weight = 0;
  for (const { share: part, mean, sd } of spread.sexes) {
    const from = (low - mean) / sd;
    const to = (high - mean) / sd;
    const inside = normalShareBelow(to) - normalShareBelow(from);
    const fromDensity = Number.isFinite(from) ? normalDensity(from) : 0;
    const toDensity = Number.isFinite(to) ? normalDensity(to) : 0;
    share += part * inside;
    weight += part * (mean * inside + sd * (fromDensity - toDensity));
  }
  return { share, weight: share > 0 ? weight / share : 0 };
}
