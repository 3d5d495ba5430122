import type { MilestoneTap } from "#core/processing-line/forecast/milestone.ts";
import { weightedQuantiles } from "#core/processing-line/forecast/weighted-quantile.ts";
import { weightedSlopes } from "#core/processing-line/forecast/weighted-slopes.ts";
import { birdsOf, type LineDay } from "#core/processing-line/line-day.ts";
import type { Moment, Spread } from "#core/processing-line/line-tally.ts";

/** A day that runs, as far as it is known. Minutes are after the day's start, as in LineDay. */
export interface DaySoFar {
  readonly nowMinute: number;
  /** What was tapped, of any posts or none, in any order, none after now. */
  readonly taps: readonly MilestoneTap[];
}

/** How a running day is likely to go on. Minutes are after the day's start. */
export interface LiveForecast {
  readonly nowMinute: number;
  /** Last bird in the chill; undefined where most replications get stuck. */
  readonly lastInChill: Spread | undefined;
  /** All work done and cleaned up. */
  readonly finish: Spread | undefined;
  /** By bird in the order of reaching the chill; for birds that were tapped, when that was. */
  readonly chills: readonly Moment[];
  /** By bird in the order of the kill. */
  readonly kills: readonly Moment[];
  /** Replications that the answer rests on, counted as if each weighed the same. */
  readonly weighedReplications: number;
  readonly played: readonly PlayedOn[];
}

/** One replication that agrees with the taps, to be played on from now. */
export interface PlayedOn {
  readonly replication: number;
  /** Factor on the day's work that makes it agree with the taps. */
  readonly dayFactor: number;
  readonly weight: number;
  readonly lastInChill: number;
  readonly finish: number;
}

export interface Played extends PlayedOn {
  readonly isStuck: boolean;
  readonly logWeight: number;
  /** How far its counts are from each sighting, standard deviations. */
  readonly misses: readonly number[];
  readonly kills: Float64Array;
  readonly chills: Float64Array;
}

/** Moves each replication's minutes by what its distance from the taps explains of them. */
function adjusted(played: readonly Played[]): Played[] {
  const lastInChill = adjustedValues(played, (one) => one.lastInChill);
  const finish = adjustedValues(played, (one) => one.finish);
  return played.map((one, index) => ({
    ...one,
    lastInChill: lastInChill[index]!,
    finish: finish[index]!,
  }));
}

function adjustedValues(played: readonly Played[], minutesOf: (one: Played) => number): number[] {
  const values = played.map(minutesOf);
  const slopeCount = played[0]?.misses.length ?? 0;
  if (slopeCount === 0) return values;
  const weights = played.map(({ weight }) => weight);
  const slopes = weightedSlopes({ weights, predictors: played.map(({ misses }) => misses), values });
  const explained = (one: Played) =>
    slopes.reduce((sum, slope, index) => sum + slope * one.misses[index]!, 0);
  const moved = values.map((value, index) => value - explained(played[index]!));
  // A regression takes some of the spread with it that is only chance: as many degrees of freedom as it has slopes.
  const weighed = weighedReplications(played);
  const wider = Math.sqrt(weighed / Math.max(1, weighed - slopeCount - 1));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = moved.reduce((sum, value, index) => sum + value * weights[index]!, 0) / total;
  return moved.map((value) => mean + wider * (value - mean));
}

/** Kish's effective sample size. */
function weighedReplications(played: readonly PlayedOn[]): number {
  const sum = played.reduce((total, { weight }) => total + weight, 0);
  const squares = played.reduce((total, { weight }) => total + weight * weight, 0);
  return squares === 0 ? 0 : (sum * sum) / squares;
}

/** What replications come to that agree with the taps, at least one. */
export function answerOf(
  day: LineDay,
  { nowMinute, taps }: DaySoFar,
  weighed: readonly Played[],
): LiveForecast {
  const most = Math.max(...weighed.map(({ weight }) => weight));
  const played = adjusted(weighed.filter(({ weight }) => weight >= LEAST_WEIGHT * most));
  const chillTaps = taps
    .filter(({ milestone }) => milestone === "chill")
    .toSorted((one, other) => one.minute - other.minute)
    .flatMap(({ minute, birds }) => Array.from({ length: birds }, () => minute));
  const hasBegun = nowMinute > day.setUpMinutes || taps.length > 0;
  const notBefore = hasBegun ? nowMinute : -Infinity;
  const lastTap = chillTaps.length >= birdsOf(day) ? chillTaps.at(-1) : undefined;
  const lastInChill = ({ lastInChill: minute }: Played) => lastTap ?? Math.max(minute, notBefore);
  const finish = (one: Played) => Math.max(one.finish, lastInChill(one)) + day.cleanUpMinutes;
  const ofAll = (value: (one: Played) => number) =>
    played.map((one) => ({ value: value(one), weight: one.weight }));
  return {
    nowMinute,
    lastInChill: spreadOf(ofAll(lastInChill)),
    finish: spreadOf(ofAll((one) => Math.max(finish(one), notBefore))),
    chills: Array.from({ length: birdsOf(day) }, (_, bird) =>
      chillTaps[bird] === undefined
        ? momentOf(ofAll(({ chills }) => Math.max(chills[bird]!, notBefore)))
        : exactly(chillTaps[bird]),
    ),
    kills: Array.from({ length: birdsOf(day) }, (_, bird) => momentOf(ofAll(({ kills }) => kills[bird]!))),
    weighedReplications: weighedReplications(played),
    played,
  };
}

/** Lighter replications change no figure. */
const LEAST_WEIGHT = 1e-4;

/** A day on which most replications get stuck: no one is left who may do what is next. */
export const stuckForecast = ({ nowMinute }: DaySoFar): LiveForecast => ({
  nowMinute,
  lastInChill: undefined,
  finish: undefined,
  chills: [],
  kills: [],
  weighedReplications: 0,
  played: [],
});

const exactly = (minute: number): Moment => ({ p10: minute, p50: minute, p90: minute });

type Weighted = readonly { readonly value: number; readonly weight: number }[];

function momentOf(numbers: Weighted): Moment {
  const [p10, p50, p90] = weightedQuantiles(numbers, [0.1, 0.5, 0.9]);
  return { p10: p10!, p50: p50!, p90: p90! };
}

function spreadOf(numbers: Weighted): Spread {
  const [p05, p95] = weightedQuantiles(numbers, [0.05, 0.95]);
  return { ...momentOf(numbers), p05: p05!, p95: p95! };
}

/** Where the taps fit no replication well, they are believed less until so many replications have a say. */
export const LEAST_WEIGHED = 30;

/** Weights from their logarithms, which are shrunk until enough replications have a say. */
export function weighted(played: readonly Played[]): Played[] {
  const most = Math.max(...played.map(({ logWeight }) => logWeight));
  for (let belief = 1; ; belief /= 2) {
    const all = played.map((one) => ({ ...one, weight: Math.exp(belief * (one.logWeight - most)) }));
    if (weighedReplications(all) >= Math.min(LEAST_WEIGHED, played.length * 0.9)) return all;
  }
}
