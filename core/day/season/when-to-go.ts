import { addDays, dayNumber, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { BirdWorth } from "#core/day/season/bird-worth.ts";
import { birdWorth } from "#core/day/season/bird-worth.ts";
import { type SeasonDay, seasonDay } from "#core/day/season/season-day.ts";
import type { GroupFacts, SeasonFacts } from "#core/day/season/season-facts.ts";
import { type SeasonPlan, seasonPlan } from "#core/day/season/season-plan.ts";
import { sizeClasses } from "#core/growth/bird-spread.ts";
import type { FlockPath } from "#core/growth/flock-path.ts";
import { type Wait, wait } from "#core/growth/wait.ts";
import { PRACTICE_FACTOR } from "#core/processing-line/line-constants.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { inputSetting } from "#core/reckoning/setting.ts";
import { checkSeason } from "#core/season/season-check.ts";
import { AGE_WINDOW_DAYS, LATE_GRACE_DAYS } from "#core/season/season-constants.ts";
import { type RuleSum, ruleSums } from "#core/season/season-moves.ts";
import type { Way } from "#core/season/season-problem.ts";
import { sunOfDay } from "#core/sky/farm-sky.ts";
import type { Place } from "#core/sky/sun.ts";

/** What speaks against a day for a flock. */
export type Against =
  | { readonly reason: "out" | "nobody" | "not-booked" | "too-young" | "too-old" | "hot" }
  | { readonly reason: "too-many"; readonly most: number }
  | { readonly reason: "dark"; readonly hoursOfLight: number; readonly hoursOfWork: number }
  | { readonly reason: "rule"; readonly rule: RuleSum };

/** One day on which a flock could go, the best of its week. */
export interface WhenRow {
  readonly day: LocalDay;
  readonly season: SeasonDay;
  readonly worth: BirdWorth;
  readonly way: Way;
  /** Birds of each wanted size, in the order of the sizes. */
  readonly bySize: readonly number[];
  /** All birds: what they sell for, less feed from today, hands and the day itself, cents. */
  readonly netValueCents: number;
  readonly spentCents: number;
  /** All that the flock has cost by then against its dressed weight, cents per kg. */
  readonly centsPerKilogramSoFar: number;
  /** The week after: more meat and what it costs. */
  readonly nextWeek: Wait;
  readonly against: readonly Against[];
}

/** When a flock had best go, and what would change that. */
export interface WhenToGo {
  readonly rows: readonly WhenRow[];
  /** Index of the best row with nothing firm against it; undefined if every one has. */
  readonly best: number | undefined;
  readonly rival: number | undefined;
  /** What the best row comes to, with its working. */
  readonly netValue: Reckoning | undefined;
  /** Feed dearer than this, cents per kg, makes the rival better; undefined if no price in reach does. */
  readonly breakEvenFeedCents: number | undefined;
  /** Meat cheaper or dearer than this, cents per kg whole, makes the rival better; undefined if no price in reach does. */
  readonly breakEvenPrice: number | undefined;
}

const WEEKS = 9;
/** More birds than a crew can do is no bar: they are split over two days. */
const FIRM_AGAINST = ["out", "nobody", "not-booked", "too-young", "too-old"];

interface WhenInput {
  /** With the one group that is asked about. */
  readonly facts: SeasonFacts;
  readonly path: FlockPath;
  readonly place: Place;
  readonly timeZone: string;
  /** What the flock has cost until today, cents. */
  readonly costSoFarCents: number;
}

/** Week by week: what the flock weighs, eats, costs and brings, and which day is best. */
export function whenToGo(asked: WhenInput): WhenToGo {
  const { facts, path } = asked;
  const group = facts.groups[0]!;
  const plan = seasonPlan(facts, () => path);
  const rows = weeksOf(facts, group).map((days) => {
    const open = days.filter((day) => seasonDay(facts, day).shut === undefined);
    const tried = open.length > 0 ? open : [days.find((day) => dayNumber(day) % 7 === 2) ?? days[0]!];
    return tried
      .map((day) => rowOf(asked, group, plan, day))
      .reduce((one, other) => (isBetter(other, one) ? other : one));
  });
  const allowed = rows
    .filter((row) => !isShutOut(row))
    .toSorted((one, other) => other.netValueCents - one.netValueCents);
  const [first, second] = allowed;
  const best = first ? rows.indexOf(first) : undefined;
  const rival = second ? rows.indexOf(second) : undefined;
  const netValue = first && comesToReckoning(first, facts);
  return { rows, best, rival, netValue, ...turningPoints(first, second, facts, group.birds) };
}

/** Days of each week from the first on which the flock can go to the last that is worth a row; at least one week. */
function weeksOf({ today }: SeasonFacts, { flock }: GroupFacts): LocalDay[][] {
  const { earliest, latest } = AGE_WINDOW_DAYS[flock.kind];
  const firstReady = addDays(flock.hatchedOn, earliest);
  const tomorrow = addDays(today, 1);
  const start = daysBetween(tomorrow, firstReady) > 0 ? firstReady : tomorrow;
  const lastDay = addDays(flock.hatchedOn, latest + LATE_GRACE_DAYS);
  const weeks = Math.max(1, Math.min(WEEKS, Math.ceil((daysBetween(start, lastDay) + 1) / 7)));
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: 7 }, (_, day) => addDays(start, week * 7 + day)),
  );
}

/** What comes of it if the whole group goes on a day. */
function rowOf(asked: WhenInput, group: GroupFacts, plan: SeasonPlan, day: LocalDay): WhenRow {
  const { facts, path, costSoFarCents } = asked;
  const { birds } = group;
  const settings = { ...facts, handsFactor: PRACTICE_FACTOR[facts.means.practice] };
  const season = seasonDay(facts, day);
  const worth = birdWorth(facts.today, day, group, path, settings);
  const later = birdWorth(facts.today, addDays(day, 7), group, path, settings);
  const way: Way = worth.worthCents.cut > worth.worthCents.whole ? "cut" : "whole";
  const broken = brokenBy(plan, { day, way, birds });
  const survivors = birds * worth.survival;
  const spentCents = Math.round(birds * worth.feedCents);
  return {
    day,
    season,
    worth,
    way,
    bySize: facts.sizes.map(
      ({ leastKilograms = 0, mostKilograms = Infinity }) =>
        survivors * sizeClasses(worth.dressedSpread, [leastKilograms, mostKilograms])[1]!,
    ),
    netValueCents: Math.round(
      birds * worth.worthCents[way] - season.openCents - sum(broken.map(({ cents }) => cents)),
    ),
    spentCents,
    centsPerKilogramSoFar: (costSoFarCents + spentCents) / (survivors * worth.dressedKilograms),
    nextWeek: wait({
      dressedNowKilograms: worth.dressedKilograms,
      dressedLaterKilograms: later.dressedKilograms,
      feedKilogramsEach: path.feedKilograms(later.ageDays) - path.feedKilograms(worth.ageDays),
      lossFraction: 1 - later.survival / worth.survival,
      centsPerDressedKilogram: facts.terms.wholeCentsPerKilogram.value,
      centsPerFeedKilogram: group.feedCentsPerKilogram.value,
      otherCentsEach: 0,
    }),
    against: [
      ...againstDay(season, worth.ageDays, group),
      ...darkness(asked, season, birds),
      ...broken.map((rule) => ({ reason: "rule" as const, rule })),
    ],
  };
}

/** Rules of room and law that so many birds on a day would break. */
function brokenBy(plan: SeasonPlan, put: { day: LocalDay; way: Way; birds: number }) {
  const index = plan.days.findIndex(({ day }) => day === put.day);
  if (index === -1) return [];
  const placements = [{ group: 0, day: index, way: put.way, birds: put.birds }];
  return ruleSums(checkSeason(plan.problem, { placements }).broken).filter(
    ({ rule }) => rule === "rest-room" || rule === "freezer-room" || rule === "yearly-cap",
  );
}

/** What of the day itself, the flock's age and the crew speaks against it. */
function againstDay(season: SeasonDay, ageDays: number, { flock, birds }: GroupFacts): Against[] {
  const { earliest, latest } = AGE_WINDOW_DAYS[flock.kind];
  const isTooMany = !season.shut && season.mostBirds < birds;
  return [
    ...(season.shut ? [{ reason: season.shut }] : []),
    ...(ageDays > latest ? [{ reason: "too-old" as const }] : []),
    ...(ageDays < earliest ? [{ reason: "too-young" as const }] : []),
    ...(isTooMany ? [{ reason: "too-many" as const, most: season.mostBirds }] : []),
    ...(season.isHot ? [{ reason: "hot" as const }] : []),
  ];
}

/** More work than the day has light. */
function darkness({ facts, timeZone, place }: WhenInput, season: SeasonDay, birds: number): Against[] {
  const { dawn, dusk } = sunOfDay(season.day, timeZone, place);
  if (dawn === undefined || dusk === undefined || season.mostBirds === 0) return [];
  const hoursOfLight = (dusk - dawn) / HOUR;
  const share = Math.min(1, birds / season.mostBirds);
  const hoursOfWork = 2 + (facts.terms.longestLineMinutes.value / 60) * share;
  return hoursOfWork > hoursOfLight ? [{ reason: "dark", hoursOfLight, hoursOfWork }] : [];
}

/** The sum behind a row, with this farm's numbers. */
function comesToReckoning(
  { worth, way, season, netValueCents }: WhenRow,
  { groups, terms }: SeasonFacts,
): Reckoning {
  const { birds, feedCentsPerKilogram } = groups[0]!;
  const price = way === "cut" ? terms.cutCentsPerKilogram : terms.wholeCentsPerKilogram;
  return reckoning({
    value: netValueCents,
    unit: "cents",
    inputs: [
      input("birds-alive-now", birds, "birds", "measured"),
      input("share-alive-by-then", worth.survival, "fraction", "our-estimate"),
      input("mean-dressed-weight", worth.dressedKilograms, "carcass-kg", "calculated"),
      inputSetting(way === "cut" ? "price-of-cuts" : "price-of-whole-birds", price, "cents-per-kg"),
      input("share-in-a-size-with-demand", worth.wantedShare, "fraction", "calculated"),
      input("total-sales-value", birds * worth.sellsCents[way], "cents", "calculated"),
      input("feed-per-bird-from-today", worth.feedKilograms, "kg", "calculated"),
      inputSetting("price-of-feed", feedCentsPerKilogram, "cents-per-kg"),
      input("labor-for-evisceration-and-packing", birds * worth.handsCents[way], "cents", "calculated"),
      input("rental-setup-and-cleanup", season.openCents, "cents", "calculated"),
    ],
    rule: "value-of-day",
    source: "season",
  });
}

/** Something firm speaks against it. */
function isShutOut({ against }: WhenRow): boolean {
  return against.some((one) => (one.reason === "rule" ? one.rule.isFirm : FIRM_AGAINST.includes(one.reason)));
}

function isBetter(one: WhenRow, other: WhenRow): boolean {
  if (isShutOut(one) !== isShutOut(other)) return isShutOut(other);
  return one.netValueCents > other.netValueCents;
}

/** Prices in reach: up to three times what they are. */
const REACH = 3;

/** At which price of feed, and of meat, the second best day becomes the best. Both sums are straight lines. */
function turningPoints(
  first: WhenRow | undefined,
  second: WhenRow | undefined,
  facts: SeasonFacts,
  birds: number,
): Pick<WhenToGo, "breakEvenFeedCents" | "breakEvenPrice"> {
  if (!first || !second) return { breakEvenFeedCents: undefined, breakEvenPrice: undefined };
  const ahead = first.netValueCents - second.netValueCents;
  const inReach = (price: number, now: number) =>
    Number.isFinite(price) && price > now / REACH && price < now * REACH ? price : undefined;
  const feedNow = facts.groups[0]!.feedCentsPerKilogram.value;
  const moreFeed = birds * (first.worth.feedKilograms - second.worth.feedKilograms);
  const sells = ({ worth, way }: WhenRow) => birds * worth.sellsCents[way];
  const moreSold = sells(first) - sells(second);
  const priceNow = facts.terms.wholeCentsPerKilogram.value;
  return {
    breakEvenFeedCents: moreFeed === 0 ? undefined : inReach(feedNow + ahead / moreFeed, feedNow),
    breakEvenPrice: moreSold === 0 ? undefined : inReach(priceNow * (1 - ahead / moreSold), priceNow),
  };
}

const sum = (numbers: readonly number[]) => numbers.reduce((running, number) => running + number, 0);
