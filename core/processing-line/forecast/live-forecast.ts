import {
  answerOf,
  type DaySoFar,
  LEAST_WEIGHED,
  type LiveForecast,
  type Played,
  stuckForecast,
  weighted,
} from "#core/processing-line/forecast/forecast-answer.ts";
import { COUNTED, type Sighting, sightingsOf } from "#core/processing-line/forecast/milestone.ts";
import { CHILLED, LAST_WORK, type LineContext, lineContext } from "#core/processing-line/line-context.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { dayDraw, replicationKey } from "#core/processing-line/line-draws.ts";
import { beginReplication, playOn } from "#core/processing-line/line-run.ts";

/** Replications of one forecast: first some at the usual pace of days, then more at the pace that these point to. */
export const FORECAST_REPLICATIONS = 500;
const PILOT_SHARE = 1 / 4;
/** Of the later ones, one in so many still has a pace as days usually have: what the first few did not see is not shut out. */
const USUAL_PACE_EVERY = 6;
/** The pace is drawn this much wider than the pilots agree on. */
const WIDER = 1.25;
const LEAST_SD_LN = 0.03;

/** A count that was seen weighs a replication by how near its own is, standard deviations in birds. Our choices. */
const LATEST_COUNT_SD = 1;
const EARLIER_COUNT_SD = 2;
/** One that is further from the taps by so many logarithms than enough others is not played to its end. */
const OUT_OF_THE_QUESTION = 7;
/**
 * Degrees of freedom of the t distribution by which distances weigh: a day that differs from the model in one of its posts
 * leaves the others their say. Our choice.
 */
const TAIL = 4;
/**
 * Plays a day on from what was tapped.
 *
 * Every replication is played from the day's start, with its own random draws for the day, people and birds, and weighted
 * by how near it comes to the counts of the taps: importance sampling. What is left of its distance from them is taken
 * out of its answer by a weighted linear regression (Beaumont, Zhang and Balding, 2002, Genetics 162: the regression
 * adjustment of approximate Bayesian computation). Without taps it is the plan, on the same random draws.
 *
 * @param day as it has been run until now and is planned from now on
 * @throws {RangeError} if a tap lies after now, or the day is none (see lineContext)
 */
export function liveForecast(
  day: LineDay,
  soFar: DaySoFar,
  seed: number,
  replications = FORECAST_REPLICATIONS,
): LiveForecast {
  const late = soFar.taps.find(({ minute }) => minute > soFar.nowMinute);
  if (late) throw new RangeError(`a tap at minute ${late.minute} lies after now, minute ${soFar.nowMinute}`);
  const context = lineContext(day, seed);
  const sightings = sightingsOf(soFar.taps, {
    fromMinute: day.setUpMinutes,
    nowMinute: soFar.nowMinute,
  }).toSorted((one, other) => one.minute - other.minute);
  /** The best logarithms so far, best first. */
  const best: number[] = [];
  const atLeast = () => (best[LEAST_WEIGHED - 1] ?? -Infinity) - OUT_OF_THE_QUESTION;
  const playedAt = (pace: Pace, replication: number) => {
    const one = playedOn(context, replication, pace, { sightings, atLeast: atLeast() });
    const place = best.findIndex((other) => other < one.logWeight);
    best.splice(place === -1 ? best.length : place, 0, one.logWeight);
    best.length = Math.min(best.length, LEAST_WEIGHED);
    return one;
  };
  const usual = paceAsUsual(day);
  const pilots = sightings.length === 0 ? replications : Math.ceil(replications * PILOT_SHARE);
  const played = numbers(0, pilots).map((replication) => playedAt(usual, replication));
  if (pilots < replications) {
    const tapped = paceOf(weighted(played), day, usual);
    for (const replication of numbers(pilots, replications))
      played.push(playedAt(replication % USUAL_PACE_EVERY === 0 ? usual : tapped, replication));
  }
  const likely = played.filter(({ logWeight }) => logWeight >= atLeast());
  const done = likely.filter(({ isStuck }) => !isStuck);
  if (done.length * 2 < likely.length) return stuckForecast(soFar);
  return answerOf(day, soFar, weighted(done));
}

const numbers = (from: number, to: number) => Array.from({ length: to - from }, (_, index) => from + index);

/** How the pace of the day is drawn: logarithm of the factor on the day's work, a normal distribution. */
interface Pace {
  readonly mean: number;
  readonly sd: number;
  /** How likely a pace is among usual days, against how often it is drawn here; a logarithm. */
  readonly logWeight: (lnDay: number) => number;
}

const paceAsUsual = ({ daySdLn }: LineDay): Pace => ({ mean: 0, sd: daySdLn, logWeight: () => 0 });

/** Draws about where those replications agree with the taps. */
function paceOf(played: readonly Played[], { daySdLn }: LineDay, usual: Pace): Pace {
  if (daySdLn === 0) return usual;
  const total = played.reduce((sum, { weight }) => sum + weight, 0);
  const mean = played.reduce((sum, { weight, dayFactor }) => sum + weight * Math.log(dayFactor), 0) / total;
  const variance =
    played.reduce((sum, { weight, dayFactor }) => sum + weight * (Math.log(dayFactor) - mean) ** 2, 0) /
    total;
  const sd = Math.min(daySdLn, Math.max(LEAST_SD_LN, WIDER * Math.sqrt(variance)));
  const logDensity = (lnDay: number, center: number, spread: number) =>
    -0.5 * ((lnDay - center) / spread) ** 2 - Math.log(spread);
  const share = 1 / USUAL_PACE_EVERY;
  return {
    mean,
    sd,
    logWeight: (lnDay) => {
      const asUsual = logDensity(lnDay, 0, daySdLn);
      const drawn = (1 - share) * Math.exp(logDensity(lnDay, mean, sd)) + share * Math.exp(asUsual);
      return asUsual - Math.log(drawn);
    },
  };
}

interface Compared {
  readonly sightings: readonly Sighting[];
  /** A replication whose weight falls below this logarithm is given up. */
  readonly atLeast: number;
}

/** Plays a replication to its end, and weighs it by what it came to on the way. */
function playedOn(
  context: LineContext,
  replication: number,
  pace: Pace,
  { sightings, atLeast }: Compared,
): Played {
  const { state } = context;
  const key = replicationKey(context.seed, replication);
  const dayFactor = Math.exp(pace.mean) * dayDraw(key, pace.sd);
  beginReplication(context, key, dayFactor);
  let logWeight = pace.logWeight(Math.log(dayFactor));
  const misses: number[] = [];
  for (const { milestone, minute, count, isTap, isLatest } of sightings) {
    playOn(context, key, { minute, count: Infinity, counted: COUNTED[milestone] });
    // At the very minute of the tap the count has just become so many: half a bird less is its middle.
    const birds = COUNTED[milestone](state) - (isTap ? count - 0.5 : count);
    const miss = birds / (isLatest ? LATEST_COUNT_SD : EARLIER_COUNT_SD);
    if (isLatest) misses.push(miss);
    logWeight -= 0.5 * (TAIL + 1) * Math.log1p((miss * miss) / TAIL);
    if (logWeight < atLeast) break;
  }
  const isStuck = logWeight >= atLeast && playOn(context, key, undefined) !== "done";
  return {
    replication,
    dayFactor,
    isStuck,
    logWeight,
    weight: 1,
    misses,
    lastInChill: state.chilledAt[state.counts[CHILLED]! - 1] ?? 0,
    finish: state.clock[LAST_WORK]!,
    kills: logWeight < atLeast ? NONE : state.killedAt.slice(),
    chills: logWeight < atLeast ? NONE : state.chilledAt.slice(),
  };
}
const NONE = new Float64Array();
