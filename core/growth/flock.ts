import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { dressedWeight } from "#core/carcass-yield/expected-cuts.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { feedEatenKilograms } from "#core/growth/feed-eaten.ts";
import {
  CV_WITHIN_SEX,
  FEED_NEED,
  GROWTH,
  GROWTH_LEARNING,
  OLDEST_READABLE_DAYS,
} from "#core/growth/growth-constants.ts";
import { type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";
import { learnedScale, type WeighIn, weightForecast } from "#core/growth/growth-update.ts";
import { mixedFlock } from "#core/growth/sex-mix.ts";
import { liveKilograms } from "#core/quantity/quantity.ts";
import { type Input, input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";

export interface LiveWeighing {
  readonly weighedOn: LocalDay;
  readonly kilograms: number;
}

export interface Flock {
  readonly kind: BirdKind;
  /** 0 to 1; a half for a straight run. */
  readonly maleShare: number;
  readonly hatchedOn: LocalDay;
  /** Single birds, in any order; may be empty. */
  readonly weighings: readonly LiveWeighing[];
}

export interface FlockForecast {
  readonly ageDays: number;
  /** Mean of the flock, live. */
  readonly live: Reckoning;
  /** Its band of 8 in 10, kg. */
  readonly liveBand: readonly [number, number];
  /** Mean of the flock, dressed. */
  readonly dressed: Reckoning;
  /** Spread between birds, coefficient of variation. */
  readonly cv: number;
  /** Past this age the curve is only a guess. */
  readonly isPastCurve: boolean;
}

/** What a flock is expected to weigh on a day, from its kind's curve and its own weigh-ins. See docs/sources.md#growth. */
export function flockOn(day: LocalDay, flock: Flock): FlockForecast {
  const ageDays = daysBetween(flock.hatchedOn, day);
  const curve = curveOf(flock);
  const cvPrior = mixOf(flock).cv;
  const weighIns = weighInsOf(flock);
  const learned = learnedScale({ curve, weighIns, cvPrior, rate: GROWTH_LEARNING });
  const forecast = weightForecast(ageDays, curve, learned, GROWTH_LEARNING.driftSdLnPerRootDay);
  const live = reckoning({
    value: forecast.meanKilograms,
    unit: "live kg",
    inputs: [
      input("age", ageDays, "days", "worked out"),
      input("what the kind's curve says", liveWeightAt(ageDays, curve), "live kg", "our default"),
      input("birds weighed so far", flock.weighings.length, "birds", "measured"),
      ...lastWeighIn(weighIns),
      input("this flock against the curve", learned.scale, "fraction", "worked out"),
    ],
    rule:
      weighIns.length === 0
        ? "The kind's growth curve at this age. No bird of this flock was weighed yet, so it is our guess until one is."
        : "The kind's growth curve at this age, times how this flock's weigh-ins stand against the curve.",
    source: "growth",
  });
  return {
    ageDays,
    live,
    liveBand: [forecast.lowKilograms, forecast.highKilograms],
    dressed: expectedDressed(live, flock.kind),
    cv: cvPrior,
    isPastCurve: ageDays > OLDEST_READABLE_DAYS[flock.kind],
  };
}

/** Feed that one bird of the flock takes from hatch to a day, kg; 0 before the hatch. */
export function feedEatenBy(day: LocalDay, flock: Flock): number {
  return feedEatenKilograms(
    Math.max(0, daysBetween(flock.hatchedOn, day)),
    curveOf(flock),
    FEED_NEED[flock.kind],
  );
}

/** Mean dressed weight to expect of a live weight. */
function expectedDressed(live: Reckoning, kind: BirdKind): Reckoning {
  const fraction = DRESSED_FRACTION[kind];
  return reckoning({
    value: dressedWeight(liveKilograms(live.value), fraction),
    unit: "carcass kg",
    inputs: [
      input("live weight", live.value, "live kg", live.provenance),
      input("dressed share of live", fraction, "fraction", "our default"),
    ],
    rule: "Live weight times the dressed share of its kind: warm, without giblets, neck and feet.",
    source: "yield",
  });
}

function curveOf({ kind, maleShare }: Flock): GrowthCurve {
  const { curve, maleFactor, femaleFactor } = GROWTH[kind];
  return { ...curve, scale: maleShare * maleFactor + (1 - maleShare) * femaleFactor };
}

function mixOf({ kind, maleShare }: Flock) {
  const { maleFactor, femaleFactor } = GROWTH[kind];
  return mixedFlock(1, { maleShare, maleFactor, femaleFactor, cvWithinSex: CV_WITHIN_SEX });
}

/** Weighings of one day make one weigh-in. */
function weighInsOf({ hatchedOn, weighings }: Flock): WeighIn[] {
  const days = [...new Set(weighings.map((weighing) => weighing.weighedOn))];
  return days.map((day) => {
    const weights = weighings.filter((weighing) => weighing.weighedOn === day).map((one) => one.kilograms);
    const meanKilograms = weights.reduce((sum, weight) => sum + weight, 0) / weights.length;
    const squares = weights.reduce((sum, weight) => sum + (weight - meanKilograms) ** 2, 0);
    const sdKilograms = weights.length > 1 ? Math.sqrt(squares / (weights.length - 1)) : undefined;
    return { ageDays: daysBetween(hatchedOn, day), birds: weights.length, meanKilograms, sdKilograms };
  });
}

function lastWeighIn(weighIns: readonly WeighIn[]): Input[] {
  const last = weighIns.toSorted((one, other) => one.ageDays - other.ageDays).at(-1);
  return last
    ? [
        input("mean of the last weigh-in", last.meanKilograms, "live kg", "measured"),
        input("its age", last.ageDays, "days", "worked out"),
      ]
    : [];
}
