import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { dressedWeight } from "#core/carcass-yield/expected-cuts.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { type BirdSpread, weightAtShare } from "#core/growth/bird-spread.ts";
import type { Flock } from "#core/growth/flock.ts";
import { type FlockPath, flockPath } from "#core/growth/flock-path.ts";
import { OLDEST_READABLE_DAYS } from "#core/growth/growth-constants.ts";
import { EIGHT_IN_TEN, type WeighIn } from "#core/growth/growth-update.ts";
import { takeLargest } from "#core/growth/take-largest.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import { type Input, input, inputFrom, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

export interface FlockForecast {
  readonly ageDays: number;
  /** Mean of the flock, live. */
  readonly live: Reckoning;
  /** The mean lies between these 8 times in 10, live kg. */
  readonly liveBand: readonly [number, number];
  /** 8 in 10 single birds lie between these, live kg. */
  readonly birdBand: readonly [number, number];
  /** Weights of its single birds, live kg. */
  readonly spread: BirdSpread;
  /** How unsure the mean is, sd of its logarithm. */
  readonly sdLn: number;
  /** Mean of the flock, dressed. */
  readonly dressed: Reckoning;
  /** Spread between birds, coefficient of variation. */
  readonly cv: number;
  /** Past this age the curve is only a guess. */
  readonly isPastCurve: boolean;
}

/** What a flock is expected to weigh on a day, from its kind's curve, its weather and its own weigh-ins. See docs/sources.md#growth. */
export function flockOn(day: LocalDay, flock: Flock, path: FlockPath = flockPath(flock)): FlockForecast {
  const ageDays = daysBetween(flock.hatchedOn, day);
  const { meanKilograms, sdLn, spread } = path.at(ageDays);
  const { learned, weighIns } = path;
  const band = Math.exp(EIGHT_IN_TEN * sdLn);
  const heldBackDays = ageDays - path.effectiveAgeDays(ageDays);
  const live = reckoning({
    value: meanKilograms,
    unit: "live-kg",
    inputs: [
      input("age", ageDays, "days", "calculated"),
      ...(heldBackDays >= 0.05 ? [input("slowed-by-heat-or-cold", heldBackDays, "days", "calculated")] : []),
      input("growth-curve-at-this-age", path.curveKilograms(ageDays), "live-kg", "our-estimate"),
      input("birds-weighed-so-far", flock.weighings.length, "birds", "measured"),
      ...lastWeighIn(weighIns),
      input("this-flock-compared-to-the-curve", learned.scale, "fraction", "calculated"),
    ],
    rule: weighIns.length === 0 ? "growth-curve" : "growth-curve-corrected",
    source: "growth",
  });
  return {
    ageDays,
    live,
    liveBand: [meanKilograms / band, meanKilograms * band],
    birdBand: birdBand(spread, sdLn),
    spread,
    sdLn,
    dressed: expectedDressed(live, flock.kind),
    cv: path.cv,
    isPastCurve: ageDays > OLDEST_READABLE_DAYS[flock.kind],
  };
}

/** What the largest birds of a flock are expected to weigh, of so many that stand there. */
export function largestOf(
  forecast: FlockForecast,
  { kind }: Flock,
  current: number,
  taking: number,
): FlockForecast {
  if (taking >= current || taking === 0) return forecast;
  const { taken } = takeLargest(forecast.spread, current, taking);
  const live = reckoning({
    value: taken.meanKilograms,
    unit: "live-kg",
    inputs: [
      inputFrom("mean-of-the-whole-flock", forecast.live),
      input("spread-between-birds", forecast.cv, "fraction", "calculated"),
      input("birds-in-the-flock", current, "birds", "measured"),
      input("largest-birds", taking, "birds", "farm-setting"),
    ],
    rule: "mean-of-largest",
    source: "growth",
  });
  const ratio = taken.meanKilograms / forecast.live.value;
  const spread = { sexes: [{ share: 1, mean: taken.meanKilograms, sd: taken.sdKilograms }] };
  return {
    ...forecast,
    live,
    liveBand: [forecast.liveBand[0] * ratio, forecast.liveBand[1] * ratio],
    birdBand: birdBand(spread, forecast.sdLn),
    spread,
    cv: taken.sdKilograms / taken.meanKilograms,
    dressed: expectedDressed(live, kind),
  };
}

/** Weights between which 8 in 10 single birds lie, how unsure the flock's mean is counted in. */
export function birdBand({ sexes }: BirdSpread, sdLn: number): readonly [number, number] {
  const unsure = { sexes: sexes.map((sex) => ({ ...sex, sd: Math.hypot(sex.sd, sex.mean * sdLn) })) };
  return [weightAtShare(unsure, 0.1), weightAtShare(unsure, 0.9)];
}

/** Feed that one bird of the flock takes from hatch to a day, kg; 0 before the hatch. */
export function feedEatenBy(day: LocalDay, flock: Flock, path: FlockPath = flockPath(flock)): number {
  return path.feedKilograms(Math.max(0, daysBetween(flock.hatchedOn, day)));
}

/** Mean dressed weight to expect of a live weight. */
function expectedDressed(live: Reckoning, kind: BirdKind): Reckoning {
  const fraction = DRESSED_FRACTION[kind];
  return reckoning({
    value: dressedWeight(liveKilograms(live.value), fraction),
    unit: "carcass-kg",
    inputs: [
      input("live-weight", live.value, "live-kg", live.provenance),
      input("dressing-percentage", fraction, "fraction", "our-estimate"),
    ],
    rule: "dressed-from-live",
    source: "yield",
  });
}

function lastWeighIn(weighIns: readonly WeighIn[]): Input[] {
  const last = weighIns.toSorted((one, other) => one.ageDays - other.ageDays).at(-1);
  return last
    ? [
        input("mean-of-the-last-weigh-in", last.meanKilograms, "live-kg", "measured"),
        input("age-at-the-last-weigh-in", last.ageDays, "days", "calculated"),
      ]
    : [];
}
