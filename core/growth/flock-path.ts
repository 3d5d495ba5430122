import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { type BirdSpread, birdSpread, timesSpread } from "#core/growth/bird-spread.ts";
import { feedByDay } from "#core/growth/feed-eaten.ts";
import type { Flock } from "#core/growth/flock.ts";
import {
  CV_WITHIN_SEX,
  FEED_NEED,
  GROWTH,
  GROWTH_LEARNING,
  OLDEST_READABLE_DAYS,
} from "#core/growth/growth-constants.ts";
import { ageForWeight, dailyGainAt, type GrowthCurve, liveWeightAt } from "#core/growth/growth-curve.ts";
import { type LearnedScale, learnedScale, type WeighIn, weightForecast } from "#core/growth/growth-update.ts";
import { cvWithinSexFor, flockOfSexes, type SexMix } from "#core/growth/sex-mix.ts";
import { takeLargest } from "#core/growth/take-largest.ts";
import { effectiveAge, TEMPERATURE_RULE } from "#core/growth/temperature.ts";
import { weighInSummary } from "#core/growth/weigh-more.ts";

/** A flock read once, so that many of its days can be asked for. */
export interface FlockPath {
  readonly learned: LearnedScale;
  readonly weighIns: readonly WeighIn[];
  /** Spread between all its birds, coefficient of variation: the kind's own, pooled with what was weighed. */
  readonly cv: number;
  /** Share of males, and what each sex makes of the curve. */
  readonly mix: SexMix;
  /** What the curve says of an age, kg. */
  curveKilograms(ageDays: number): number;
  /** Age at which the curve is read: less than the age where heat or cold held the flock back. */
  effectiveAgeDays(ageDays: number): number;
  /** Mean of the flock, live kg, its sd of the logarithm, and the weights of its single birds. */
  at(ageDays: number): { meanKilograms: number; sdLn: number; spread: BirdSpread };
  /** What a bird of the flock gains at an age, live kg a day. */
  dailyGainKilograms(ageDays: number): number;
  /** Whole days of age at which the flock's mean reaches a live weight; undefined if it never does. */
  ageAtKilograms(kilograms: number): number | undefined;
  /** Feed that one bird has taken from hatch to an age, kg. */
  feedKilograms(ageDays: number): number;
}

const DRIFT = GROWTH_LEARNING.driftSdLnPerRootDay;

/** Reads a flock: its weather, its weigh-ins, and which of its birds were taken. See docs/sources.md#growth. */
export function flockPath(flock: Flock): FlockPath {
  const { maleFactor, femaleFactor } = GROWTH[flock.kind];
  const curve: GrowthCurve = {
    ...GROWTH[flock.kind].curve,
    scale: flock.maleShare * maleFactor + (1 - flock.maleShare) * femaleFactor,
  };
  const usual: SexMix = { maleShare: flock.maleShare, maleFactor, femaleFactor, cvWithinSex: CV_WITHIN_SEX };
  const cvPrior = flockOfSexes(1, usual).cv;
  const effectiveAgeDays = effectiveAges(flock);
  const curveKilograms = (ageDays: number) => liveWeightAt(effectiveAgeDays(ageDays), curve);

  const all = weighInsOf(flock);
  const cv = pooledCv(all, cvPrior);
  const mix: SexMix = { ...usual, cvWithinSex: cvWithinSexFor(usual, cv) };
  const partings = partingsOf(flock, mix);
  const keptRatio = (ageDays: number) =>
    partings.reduce((ratio, parting) => (ageDays > parting.ageDays ? parting.meanRatio : ratio), 1);
  const weighIns = all.map((weighIn) => ({
    ...weighIn,
    curveKilograms: curveKilograms(weighIn.ageDays) * keptRatio(weighIn.ageDays),
  }));
  const learned = learnedScale({ curve, weighIns, cvPrior, rate: GROWTH_LEARNING });

  const feed = feedByDay(
    (ageDays) => liveWeightAt(effectiveAgeDays(ageDays), curve) * learned.scale,
    FEED_NEED[flock.kind],
    OLDEST_READABLE_DAYS[flock.kind] + 140,
  );
  return {
    learned,
    weighIns,
    cv,
    mix,
    curveKilograms,
    effectiveAgeDays,
    dailyGainKilograms(ageDays) {
      const held = effectiveAgeDays(ageDays + 0.5) - effectiveAgeDays(ageDays - 0.5);
      return dailyGainAt(effectiveAgeDays(ageDays), curve) * held * learned.scale * keptRatio(ageDays);
    },
    ageAtKilograms(kilograms) {
      // Weather and the taking of the largest only ever hold a flock back: it is not there before its curve is.
      const soonest = ageForWeight(kilograms / learned.scale, curve);
      if (soonest === undefined) return undefined;
      for (let age = Math.max(0, Math.ceil(soonest)); age <= OLDEST_READABLE_DAYS[flock.kind]; age += 1)
        if (this.at(age).meanKilograms >= kilograms) return age;
      return undefined;
    },
    feedKilograms: (ageDays) => feed[Math.max(0, Math.min(feed.length - 1, Math.round(ageDays)))]!,
    at(ageDays) {
      const forecast = weightForecast(ageDays, curveKilograms(ageDays), learned, DRIFT);
      const last = partings.filter((parting) => ageDays > parting.ageDays).at(-1);
      const meanKilograms = forecast.meanKilograms * keptRatio(ageDays);
      // birdSpread counts from the curve before sex, whose factors are in the curve's scale here.
      const spread = last
        ? timesSpread(last.spread, meanKilograms)
        : birdSpread(meanKilograms / curve.scale!, mix, 0);
      return { meanKilograms, sdLn: forecast.sdLn, spread };
    },
  };
}

/** Ages at which the curve is read, from the weather that the flock has had and is to have. */
function effectiveAges({ kind, hatchedOn, weather }: Flock): (ageDays: number) => number {
  if (!weather || weather.celsius.length === 0) return (ageDays) => ageDays;
  const firstAge = daysBetween(hatchedOn, weather.from);
  const rule = TEMPERATURE_RULE[kind];
  // ages[i] is the effective age at the start of the weather's i-th day.
  const ages = [firstAge];
  weather.celsius.forEach((celsius, index) => {
    const age = firstAge + index;
    const before = ages[index]!;
    ages.push(
      age < 0 ? before + 1 : effectiveAge({ ageDays: age, effectiveAgeDays: before }, [celsius], rule),
    );
  });
  const lastIndex = ages.length - 1;
  return (ageDays) => {
    const index = ageDays - firstAge;
    if (index <= 0) return ageDays;
    if (index >= lastIndex) return ages[lastIndex]! + (index - lastIndex);
    const whole = Math.floor(index);
    return ages[whole]! + (index - whole) * (ages[whole + 1]! - ages[whole]!);
  };
}

/** Weighings of one day make one weigh-in. */
function weighInsOf({ hatchedOn, weighings }: Flock): WeighIn[] {
  const byDay = new Map<LocalDay, number[]>();
  for (const { weighedOn, kilograms } of weighings) {
    const current = byDay.get(weighedOn);
    if (current) current.push(kilograms);
    else byDay.set(weighedOn, [kilograms]);
  }
  return [...byDay].map(([day, kilograms]) => ({
    ageDays: daysBetween(hatchedOn, day),
    ...weighInSummary(kilograms),
  }));
}

/** Spread between birds: what is usual, worth so many birds, pooled with every weigh-in's own. */
function pooledCv(weighIns: readonly WeighIn[], cvPrior: number): number {
  let squares = GROWTH_LEARNING.cvPriorBirds * cvPrior ** 2;
  let weight: number = GROWTH_LEARNING.cvPriorBirds;
  for (const { birds, meanKilograms, sdKilograms } of weighIns) {
    if (sdKilograms === undefined) continue;
    squares += (birds - 1) * (sdKilograms / meanKilograms) ** 2;
    weight += birds - 1;
  }
  return Math.sqrt(squares / weight);
}

interface Parting {
  readonly ageDays: number;
  /** Mean of those left against the whole flock's. */
  readonly meanRatio: number;
  /** Those left, for a mean of 1. After a parting they are taken as one sex of their own spread. */
  readonly spread: BirdSpread;
}

/** What each taking of the largest has left. Birds taken as they come leave a flock like the one before. */
function partingsOf({ hatchedOn, takings = [] }: Flock, mix: SexMix): Parting[] {
  const partings: Parting[] = [];
  let spread = birdSpread(1 / flockOfSexes(1, mix).meanKilograms, mix);
  let meanRatio = 1;
  for (const taking of takings.toSorted((one, other) => (one.takenOn < other.takenOn ? -1 : 1))) {
    const take = Math.min(taking.birds, taking.ofBirds);
    if (taking.which !== "biggest" || take <= 0 || take >= taking.ofBirds) continue;
    const { left } = takeLargest(spread, taking.ofBirds, take);
    meanRatio *= left.meanKilograms;
    spread = { sexes: [{ share: 1, mean: 1, sd: left.sdKilograms / left.meanKilograms }] };
    partings.push({ ageDays: daysBetween(hatchedOn, taking.takenOn), meanRatio, spread });
  }
  return partings;
}
