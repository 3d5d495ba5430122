import { addDays, dayNumber, dayOfNumber, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { type BirdWorth, birdWorth, CUT_WORK, daysFrom } from "#core/day/season/bird-worth.ts";
import { type SeasonDay, seasonDay } from "#core/day/season/season-day.ts";
import type { GroupFacts, SeasonFacts } from "#core/day/season/season-facts.ts";
import { type FlockPath, flockPath } from "#core/growth/flock-path.ts";
import { PRACTICE_FACTOR } from "#core/processing-line/line-constants.ts";
import { proposedRestDays } from "#core/rest/rest.ts";
import { checkSeason } from "#core/season/season-check.ts";
import { AGE_WINDOW_DAYS, CUT_FREEZER_ROOM, LATE_GRACE_DAYS } from "#core/season/season-constants.ts";
import type {
  GroupOption,
  Pin,
  SeasonGroup,
  SeasonProblem,
  SeasonRule,
} from "#core/season/season-problem.ts";

/** A season put together: the days that may be held, what each bird is worth on each, and the problem to be solved. */
export interface SeasonPlan {
  readonly problem: SeasonProblem;
  /** As the problem's days, in their order. */
  readonly days: readonly SeasonDay[];
  /** As the problem's groups: what a bird is worth, by index of the day. */
  readonly worths: readonly ReadonlyMap<number, BirdWorth>[];
  readonly groups: readonly GroupFacts[];
}

/** No season looks further ahead than this, days. */
const FURTHEST_DAYS = 210;

/** Puts the season together from all that is known. */
export function seasonPlan(
  facts: SeasonFacts,
  pathOf: (group: GroupFacts) => FlockPath = ({ flock }) => flockPath(flock),
): SeasonPlan {
  const groups = facts.groups.filter(({ birds }) => birds > 0);
  const from = addDays(facts.today, 1);
  const lastAge = (group: GroupFacts) =>
    addDays(group.flock.hatchedOn, AGE_WINDOW_DAYS[group.flock.kind].latest + LATE_GRACE_DAYS);
  const last = Math.max(
    ...[from, ...groups.map(lastAge), ...facts.held.map(({ day }) => day)].map(dayNumber),
  );
  const to = dayOfNumber(Math.min(last, dayNumber(from) + FURTHEST_DAYS));
  const days = daysFrom(from, to)
    .map((day) => seasonDay(facts, day))
    .filter(({ shut, day }) => shut === undefined || facts.held.some((held) => held.day === day));
  const handsFactor = PRACTICE_FACTOR[facts.means.practice];
  const worths = groups.map((group) => {
    const path = pathOf(group);
    return new Map(
      days.flatMap(({ day, shut }, index): [number, BirdWorth][] =>
        shut === undefined && isInWindow(group, day)
          ? [[index, birdWorth(facts.today, day, group, path, { ...facts, handsFactor })]]
          : [],
      ),
    );
  });
  const room = roomOf(facts, from, to);
  const withRoom = (slack: SeasonProblem["room"]): SeasonPlan => ({
    groups,
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
      groups: groups.map((group, index) => seasonGroup(facts, group, worths[index]!, to)),
      pins: pinsOf(facts, groups, days),
      leastBirds: facts.terms.leastBirds.value,
      strength: facts.terms.strength,
      room: slack,
      yearly: yearlyOf(facts, from, to),
    },
  });
  return withRoom(forgivenRoom(withRoom(room).problem));
}

/** The rooms with what scheduled days alone take past them forgiven. */
function forgivenRoom(problem: SeasonProblem): SeasonProblem["room"] {
  const { room } = problem;
  const { broken } = checkSeason(problem, { placements: [] });
  const past = (rule: SeasonRule) =>
    room.leaving.map(
      (_, at) => broken.find((one) => one.rule === rule && one.day === room.from + at)?.by ?? 0,
    );
  return { ...room, restSlack: past("rest-room"), freezerSlack: past("freezer-room") };
}

function isInWindow({ flock }: GroupFacts, day: LocalDay): boolean {
  const age = daysBetween(flock.hatchedOn, day);
  const { earliest, latest } = AGE_WINDOW_DAYS[flock.kind];
  return age >= earliest && age <= latest + LATE_GRACE_DAYS;
}

function seasonGroup(
  facts: SeasonFacts,
  group: GroupFacts,
  worths: ReadonlyMap<number, BirdWorth>,
  to: LocalDay,
): SeasonGroup {
  const { latest } = AGE_WINDOW_DAYS[group.flock.kind];
  const options: GroupOption[] = [...worths].flatMap(([day, { worthCents, ageDays }]) => {
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
  const lastDay = addDays(group.flock.hatchedOn, latest);
  return {
    name: group.name,
    birds: group.birds,
    mustBePlaced: lastDay <= to,
    unplacedCents: 0,
    restDays: facts.terms.restDays ?? proposedRestDays(group.flock.kind),
    options,
  };
}

function pinsOf(facts: SeasonFacts, groups: readonly GroupFacts[], days: readonly SeasonDay[]): Pin[] {
  return facts.pins.flatMap(({ batchId, pinnedOn, birds }) => {
    const group = groups.findIndex((one) => one.batchId === batchId);
    const day = days.findIndex((one) => one.day === pinnedOn);
    const set = facts.held
      .filter((one) => one.batchId === batchId && one.day === pinnedOn)
      .reduce((sum, one) => sum + one.birds, 0);
    const left = Math.min(birds - set, groups[group]?.birds ?? 0);
    // A pin on a day gone by, or of birds that are lost or have been set for their day, binds no one.
    return left <= 0 || pinnedOn <= facts.today ? [] : [{ group, day, birds: left }];
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
    restSlack: Array<number>(length).fill(0),
    freezerSlack: Array<number>(length).fill(0),
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
