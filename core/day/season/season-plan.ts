import { addDays, dayNumber, dayOfNumber, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { type BirdWorth, birdWorth, CUT_WORK, daysFrom } from "#core/day/season/bird-worth.ts";
import { type SeasonDay, seasonDay } from "#core/day/season/season-day.ts";
import type { LotFacts, SeasonFacts } from "#core/day/season/season-facts.ts";
import { type FlockPath, flockPath } from "#core/growth/flock-path.ts";
import { PRACTICE_FACTOR } from "#core/processing-line/line-constants.ts";
import { checkSeason } from "#core/season/season-check.ts";
import {
  AGE_WINDOW_DAYS,
  CUT_FREEZER_ROOM,
  LATE_GRACE_DAYS,
  REST_DAYS,
} from "#core/season/season-constants.ts";
import type { LotOption, Pin, SeasonLot, SeasonProblem, SeasonRule } from "#core/season/season-problem.ts";

/** A season put together: the days that may be held, what each bird is worth on each, and the problem to be solved. */
export interface SeasonPlan {
  readonly problem: SeasonProblem;
  /** As the problem's days, in their order. */
  readonly days: readonly SeasonDay[];
  /** As the problem's lots: what a bird is worth, by index of the day. */
  readonly worths: readonly ReadonlyMap<number, BirdWorth>[];
  readonly lots: readonly LotFacts[];
}

/** No season looks further ahead than this, days. */
const FURTHEST_DAYS = 210;

/** Puts the season together from all that is known. */
export function seasonPlan(
  facts: SeasonFacts,
  pathOf: (lot: LotFacts) => FlockPath = ({ flock }) => flockPath(flock),
): SeasonPlan {
  const lots = facts.lots.filter(({ birds }) => birds > 0);
  const from = addDays(facts.today, 1);
  const lastAge = (lot: LotFacts) =>
    addDays(lot.flock.hatchedOn, AGE_WINDOW_DAYS[lot.flock.kind].latest + LATE_GRACE_DAYS);
  const last = Math.max(...[from, ...lots.map(lastAge), ...facts.held.map(({ day }) => day)].map(dayNumber));
  const to = dayOfNumber(Math.min(last, dayNumber(from) + FURTHEST_DAYS));
  const days = daysFrom(from, to)
    .map((day) => seasonDay(facts, day))
    .filter(({ shut, day }) => shut === undefined || facts.held.some((held) => held.day === day));
  const handsFactor = PRACTICE_FACTOR[facts.means.practice];
  const worths = lots.map((lot) => {
    const path = pathOf(lot);
    return new Map(
      days.flatMap(({ day, shut }, index): [number, BirdWorth][] =>
        shut === undefined && isInWindow(lot, day)
          ? [[index, birdWorth(facts.today, day, lot, path, { ...facts, handsFactor })]]
          : [],
      ),
    );
  });
  const room = roomOf(facts, from, to);
  const withRoom = (forgiven: SeasonProblem["room"]): SeasonPlan => ({
    lots,
    days,
    worths,
    problem: {
      days: days.map(({ day, openCents, mostBirds }) => {
        const held = facts.held.filter((one) => one.day === day);
        return {
          number: dayNumber(day),
          openCents,
          mostWork: mostBirds,
          heldBirds: held.reduce((sum, { birds }) => sum + birds, 0),
          heldWork: held.reduce((sum, { birds, cutUp }) => sum + birds - cutUp + cutUp * CUT_WORK, 0),
        };
      }),
      lots: lots.map((lot, index) => seasonLot(facts, lot, worths[index]!, to)),
      pins: pinsOf(facts, lots, days),
      leastBirds: facts.terms.leastBirds.value,
      strength: facts.terms.strength,
      room: forgiven,
      yearly: yearlyOf(facts, from, to),
    },
  });
  return withRoom(forgivenRoom(withRoom(room).problem));
}

/** The rooms with what set days alone take past them forgiven. */
function forgivenRoom(problem: SeasonProblem): SeasonProblem["room"] {
  const { room } = problem;
  const { broken } = checkSeason(problem, { placements: [] });
  const past = (rule: SeasonRule) =>
    room.leaving.map(
      (_, at) => broken.find((one) => one.rule === rule && one.day === room.from + at)?.by ?? 0,
    );
  return { ...room, restForgiven: past("rest-room"), freezerForgiven: past("freezer-room") };
}

function isInWindow({ flock }: LotFacts, day: LocalDay): boolean {
  const age = daysBetween(flock.hatchedOn, day);
  const { earliest, latest } = AGE_WINDOW_DAYS[flock.kind];
  return age >= earliest && age <= latest + LATE_GRACE_DAYS;
}

function seasonLot(
  facts: SeasonFacts,
  lot: LotFacts,
  worths: ReadonlyMap<number, BirdWorth>,
  to: LocalDay,
): SeasonLot {
  const { latest } = AGE_WINDOW_DAYS[lot.flock.kind];
  const options: LotOption[] = [...worths].flatMap(([day, { worthCents, ageDays }]) => {
    const isLate = ageDays > latest;
    const option = { day, isLate };
    return [
      { ...option, way: "whole", centsEach: worthCents.whole, workEach: 1, freezerRoomEach: 1 },
      {
        ...option,
        way: "cut",
        centsEach: worthCents.cut,
        workEach: CUT_WORK,
        freezerRoomEach: CUT_FREEZER_ROOM,
      },
    ] as const;
  });
  const lastDay = addDays(lot.flock.hatchedOn, latest);
  return {
    name: lot.name,
    birds: lot.birds,
    mustBePlaced: lastDay <= to,
    unplacedCents: 0,
    restDays: facts.terms.restDays ?? REST_DAYS[lot.flock.kind],
    options,
  };
}

function pinsOf(facts: SeasonFacts, lots: readonly LotFacts[], days: readonly SeasonDay[]): Pin[] {
  return facts.pins.flatMap(({ batchId, pinnedOn, birds }) => {
    const lot = lots.findIndex((one) => one.batchId === batchId);
    const day = days.findIndex((one) => one.day === pinnedOn);
    const set = facts.held
      .filter((one) => one.batchId === batchId && one.day === pinnedOn)
      .reduce((sum, one) => sum + one.birds, 0);
    const left = Math.min(birds - set, lots[lot]?.birds ?? 0);
    // A pin on a day gone by, or of birds that are lost or have been set for their day, binds nobody.
    return left <= 0 || pinnedOn <= facts.today ? [] : [{ lot, day, birds: left }];
  });
}

function roomOf(facts: SeasonFacts, from: LocalDay, to: LocalDay): SeasonProblem["room"] {
  const { rooms, terms } = facts;
  const length = daysBetween(from, to) + 5;
  const resting = Array<number>(length).fill(0);
  const entering = Array<number>(length).fill(0);
  const rest = (birds: number, roomEach: number, since: LocalDay, until: LocalDay) => {
    const last = daysBetween(from, until);
    for (let at = Math.max(0, daysBetween(from, since)); at < Math.min(length, last); at += 1)
      resting[at]! += birds;
    if (last >= 0 && last < length) entering[last]! += birds * roomEach;
  };
  for (const { day, birds, cutUp, restDays } of facts.held)
    rest(
      birds,
      birds === 0 ? 0 : (birds - cutUp + cutUp * CUT_FREEZER_ROOM) / birds,
      day,
      addDays(day, restDays),
    );
  for (const { until, birds } of rooms.restingNow) rest(birds, 1, facts.today, until);
  return {
    rest: rooms.fridge,
    freezer: rooms.freezer,
    eitherRest: rooms.either,
    eitherFreezer: rooms.either,
    frozenNow: rooms.frozenNow,
    from: dayNumber(from),
    resting,
    entering,
    restForgiven: Array<number>(length).fill(0),
    freezerForgiven: Array<number>(length).fill(0),
    leaving: Array<number>(length).fill(terms.leavingAWeek.value / 7),
  };
}

function yearlyOf(facts: SeasonFacts, from: LocalDay, to: LocalDay): SeasonProblem["yearly"] {
  const cap = facts.terms.yearlyCap;
  if (cap === undefined) return [];
  const years = [...new Set([from.slice(0, 4), to.slice(0, 4)])];
  return years.map((year) => {
    const held = facts.held
      .filter(({ day }) => day.startsWith(year))
      .reduce((sum, { birds }) => sum + birds, 0);
    return {
      fromDay: dayNumber(`${year}-01-01`),
      toDay: dayNumber(`${year}-12-31`),
      birds: Math.max(0, cap - (facts.dressedByYear[year] ?? 0) - held),
    };
  });
}
