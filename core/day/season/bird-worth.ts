import { addDays, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import type { GroupFacts, SeasonTerms, WantedSizeFacts } from "#core/day/season/season-facts.ts";
import { type BirdSpread, between, timesSpread } from "#core/growth/bird-spread.ts";
import type { FlockPath } from "#core/growth/flock-path.ts";
import { LOSS_A_WEEK } from "#core/growth/wait.ts";
import { neededStations } from "#core/processing-line/line-day.ts";
import { stationRow } from "#core/processing-line/line-station.ts";
import type { Way } from "#core/season/season-problem.ts";

/** What one bird that stands today is worth if its day is a day, all means over the flock. */
export interface BirdWorth {
  readonly day: LocalDay;
  readonly ageDays: number;
  /** Of those standing today, the share that will still stand. */
  readonly survival: number;
  readonly liveKilograms: number;
  readonly dressedKilograms: number;
  /** Weights of single birds, dressed kg. */
  readonly dressedSpread: BirdSpread;
  /** Share of the birds that are of a size someone wants; 1 where no size was named. */
  readonly wantedShare: number;
  /** Feed to the day, kg a bird that stands today. */
  readonly feedKilograms: number;
  readonly feedCents: number;
  /** What it sells for, whole and cut up, cents a bird that stands today. */
  readonly sellsCents: Readonly<Record<Way, number>>;
  /** Hands at the farm's rate, cents a bird that stands today. */
  readonly handsCents: Readonly<Record<Way, number>>;
  /** Sells, less feed and hands. */
  readonly worthCents: Readonly<Record<Way, number>>;
}

/** Hands' work on one bird on the line, without scald and pluck being attended in loads, minutes. */
const medianMinutes = (of: { readonly cutUp: number }) =>
  neededStations({ packSameDay: true, lots: [{ birds: 1, giblets: true, ...of }] }).reduce(
    (sum, station) => sum + stationRow(station).medianMinutes,
    0,
  );
const HANDS_MINUTES: Readonly<Record<Way, number>> = {
  whole: medianMinutes({ cutUp: 0 }),
  cut: medianMinutes({ cutUp: 1 }),
};
/** Work of a bird that is cut up on the day, in whole birds. */
export const CUT_WORK = HANDS_MINUTES.cut / HANDS_MINUTES.whole;

/** What a bird of a group is worth if it is processed on a day. See docs/sources.md#season. */
export function birdWorth(
  today: LocalDay,
  day: LocalDay,
  group: GroupFacts,
  path: FlockPath,
  {
    terms,
    sizes,
    handsFactor,
  }: { terms: SeasonTerms; sizes: readonly WantedSizeFacts[]; handsFactor: number },
): BirdWorth {
  const { kind, hatchedOn } = group.flock;
  const ageDays = daysBetween(hatchedOn, day);
  const { meanKilograms, sdLn, spread } = path.at(ageDays);
  const dressedFraction = DRESSED_FRACTION[kind];
  const unsure = { sexes: spread.sexes.map((sex) => ({ ...sex, sd: Math.hypot(sex.sd, sex.mean * sdLn) })) };
  const dressedSpread = timesSpread(unsure, dressedFraction);
  const from = today < hatchedOn ? hatchedOn : today;
  const weeks = Math.max(0, daysBetween(from, day)) / 7;
  const survival = (1 - LOSS_A_WEEK[kind]) ** weeks;
  const feedOfLiving =
    path.feedKilograms(Math.max(0, ageDays)) - path.feedKilograms(Math.max(0, daysBetween(hatchedOn, today)));
  const feedKilograms = feedOfLiving * (1 - (1 - survival) / 2);
  const feedCents = feedKilograms * group.feedCentsPerKilogram.value;

  const dressedKilograms = meanKilograms * dressedFraction;
  const wanted = wantedParts(dressedSpread, sizes);
  const off = 1 - terms.oddSizeOffPercent.value / 100;
  const wholeKilograms = wanted.kilograms + (dressedKilograms - wanted.kilograms) * off;
  const sells = {
    whole: survival * wholeKilograms * terms.wholeCentsPerKilogram.value,
    cut: survival * dressedKilograms * terms.cutCentsPerKilogram.value * CUT_SOLD_SHARE,
  };
  const hands = (way: Way) => survival * ((HANDS_MINUTES[way] * handsFactor) / 60) * terms.centsAnHour.value;
  const worth = (way: Way) => sells[way] - feedCents - hands(way);
  return {
    day,
    ageDays,
    survival,
    liveKilograms: meanKilograms,
    dressedKilograms,
    dressedSpread,
    wantedShare: wanted.share,
    feedKilograms,
    feedCents,
    sellsCents: sells,
    handsCents: { whole: hands("whole"), cut: hands("cut") },
    worthCents: { whole: worth("whole"), cut: worth("cut") },
  };
}

/** Of a bird that is cut up, the frame goes for broth and the trim for pets: choice. See docs/sources.md#season. */
const CUT_SOLD_SHARE = 0.77;

/** Share of the birds, and weight a bird of the flock, that is of a wanted size; overlapping sizes count once. */
function wantedParts(
  dressed: BirdSpread,
  sizes: readonly WantedSizeFacts[],
): { share: number; kilograms: number } {
  if (sizes.length === 0) {
    const all = between(dressed, -Infinity, Infinity);
    return { share: all.share, kilograms: all.weight };
  }
  const ranges = sizes
    .map(
      ({ leastKilograms = 0, mostKilograms = Infinity }) =>
        [leastKilograms, mostKilograms] as [number, number],
    )
    .toSorted((one, other) => one[0] - other[0])
    .reduce<[number, number][]>((joined, [low, high]) => {
      const last = joined.at(-1);
      if (last && low <= last[1]) last[1] = Math.max(last[1], high);
      else joined.push([low, high]);
      return joined;
    }, []);
  const parts = ranges.map(([low, high]) => between(dressed, low, high));
  return {
    share: parts.reduce((sum, part) => sum + part.share, 0),
    kilograms: parts.reduce((sum, part) => sum + part.share * part.weight, 0),
  };
}

/** Every day from one to another, both included. */
export function daysFrom(from: LocalDay, to: LocalDay): LocalDay[] {
  const count = daysBetween(from, to) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, index) => addDays(from, index));
}
