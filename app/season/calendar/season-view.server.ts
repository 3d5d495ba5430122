import { group, sum } from "d3-array";
import { currentProposal, seasonJob } from "#app/season/calendar/season-job.server.ts";
import { seasonTasks } from "#app/season/calendar/season-tasks.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { showFor } from "#app/words/show.ts";
import { localDayOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, dayNumber, dayOfNumber, type LocalDay, weekdayOf } from "#core/calendar/local-day.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { type SeasonDay, seasonDay } from "#core/day/season/season-day.ts";
import { seasonEarnings } from "#core/day/season/season-earnings.ts";
import type { HeldDay, SeasonFacts } from "#core/day/season/season-facts.ts";
import { type SeasonPlan, seasonPlan } from "#core/day/season/season-plan.ts";
import { checkSeason } from "#core/season/season-check.ts";
import { type Move, movesOf, nextBest, type RuleSum, ruleSums } from "#core/season/season-moves.ts";
import type { SeasonAnswer, Way } from "#core/season/season-problem.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Weeks that the calendar shows. */
export const WEEKS = 10;
/** Hours of the day that a ribbon shows. */
const RIBBON_HOURS = [4, 22] as const;

/** What is to be done stands on the page so many days ahead. */
const TO_DO_DAYS = 21;

/** A move as the page shows it. */
export interface MoveView {
  readonly day: LocalDay;
  readonly cents: number;
  readonly breaks: readonly BrokenView[];
  readonly repairs: readonly BrokenView[];
  readonly dressedKilograms: number;
  readonly ageDays: number;
}

export type BrokenView = Omit<RuleSum, "firstDay" | "group"> & {
  readonly day: LocalDay | undefined;
  readonly name: string | undefined;
};

/** Birds of a batch on a proposed day. */
export interface GroupView {
  readonly batchId: number;
  readonly name: string;
  readonly day: LocalDay;
  readonly birds: Readonly<Record<Way, number>>;
  readonly pinEntryId: string | undefined;
  readonly ageDays: number;
  readonly dressedKilograms: number;
  readonly worthCents: number;
  readonly people: readonly string[];
  /** Others on the same day, each a lot of it, and what a second opening of that day would cost; undefined where it is alone. */
  readonly shared: { readonly names: readonly string[]; readonly savedCents: number } | undefined;
  /** A day of that date that is scheduled already, to which these birds would be another lot. */
  readonly heldDayId: number | undefined;
  readonly next: MoveView | undefined;
  readonly moves: readonly MoveView[];
}

export interface CellView {
  readonly day: LocalDay;
  /** The sun's height through the day, whole degrees. */
  readonly altitudes: readonly number[];
  readonly season: SeasonDay;
  readonly held: readonly { dayId: number; name: string; birds: number }[];
  readonly proposed: readonly { batchId: number; name: string; birds: number; isPinned: boolean }[];
  /** The next best day of a batch that is proposed elsewhere. */
  readonly instead: readonly { name: string; cents: number }[];
  readonly resting: number;
  readonly frozen: number;
  readonly isEitherFrozen: boolean;
  /** What follows from scheduled days, by the hour of this day. */
  readonly tasks: readonly { hour: number; title: string }[];
}

/** All that the season's page shows. */
export function seasonView(here: FarmContext, farm: Farm) {
  const facts = seasonFacts(here, farm);
  const plan = seasonPlan(facts);
  const current = currentProposal(here, plan);
  const answer = current?.answer ?? { placements: [] };
  const check = checkSeason(plan.problem, answer);
  const groups = current ? groupViews(here, plan, answer, facts.held) : [];
  const { weekStart } = showFor(farm);
  const first = addDays(facts.today, -((weekdayOf(facts.today) - weekStart + 7) % 7));
  const tasks = seasonTasks(here, farm);
  const tasksOn = group(tasks, ({ at }) => localDayOf(at, farm.timeZone));
  const cells = Array.from({ length: WEEKS * 7 }, (_, index) =>
    cellView({ farm, facts, plan, check, groups, tasksOn }, addDays(first, index)),
  );
  return {
    today: facts.today,
    cells,
    groups,
    rooms: facts.rooms,
    waiting: plan.groups.map((group, index) => ({
      batchId: group.batchId,
      name: group.name,
      birds: group.birds,
      placed: answer.placements
        .filter((one) => one.group === index)
        .reduce((sum, { birds }) => sum + birds, 0),
    })),
    yearly: yearlyView(facts, groups),
    money: {
      earns: seasonEarnings(plan.problem, answer, check),
      boundCents: current?.proposal.boundCents ?? undefined,
    },
    proposal: current && {
      outcome: current.proposal.outcome,
      madeAt: current.madeAt,
      isOld: current.isOld,
      droppedBirds: current.droppedBirds,
    },
    broken: current ? ruleSums(check.broken).map((one) => brokenView(plan, one)) : [],
    job: seasonJob(),
    short: facts.held.flatMap((held) => tooMuch(here, farm, facts, held)),
    toDo: tasks
      .filter((task) => task.at >= here.now() - 12 * HOUR && task.at < here.now() + TO_DO_DAYS * 24 * HOUR)
      .map(({ uid, at, title, why }) => ({ uid, at, title, why })),
    peopleCount: facts.people.length,
  };
}

interface CellFacts {
  readonly farm: Farm;
  readonly facts: SeasonFacts;
  readonly plan: SeasonPlan;
  readonly check: ReturnType<typeof checkSeason>;
  readonly groups: readonly GroupView[];
  readonly tasksOn: ReadonlyMap<LocalDay, ReturnType<typeof seasonTasks>>;
}

/** One day of the calendar. */
function cellView({ farm, facts, plan, check, groups, tasksOn }: CellFacts, day: LocalDay): CellView {
  const { room } = plan.problem;
  const at = dayNumber(day) - room.from;
  return {
    day,
    altitudes: altitudesOf(farm, day),
    season: seasonDay(facts, day),
    held: facts.held
      .filter((one) => one.day === day)
      .map(({ dayId, batchName, birds }) => ({ dayId, name: batchName, birds })),
    proposed: groups
      .filter((group) => group.day === day)
      .map(({ batchId, name, birds, pinEntryId }) => ({
        batchId,
        name,
        birds: birds.whole + birds.cut,
        isPinned: pinEntryId !== undefined,
      })),
    instead: groups
      .filter(({ next }) => next?.day === day)
      .map(({ name, next }) => ({ name, cents: next!.cents })),
    resting: check.resting[at] ?? 0,
    frozen: Math.round(check.frozen[at] ?? room.frozenNow),
    isEitherFrozen: check.isEitherFrozen[at] ?? false,
    tasks: (tasksOn.get(day) ?? []).map((task) => ({
      hour: (task.at - startOfDay(day, farm.timeZone)) / HOUR,
      title: task.title,
    })),
  };
}

export type SeasonView = ReturnType<typeof seasonView>;

/**
 * What is too much about a scheduled day: its line longer than is wanted, people of its crew who can't come, or, where
 * its helpers have no names yet, more birds than those who can come would do.
 */
function tooMuch(
  here: FarmContext,
  farm: Farm,
  facts: SeasonFacts,
  { dayId, day, birds, batchName }: HeldDay,
) {
  const set = here.file.day(dayId)!;
  const { lineMinutes } = planOf(here, farm, set).plan.line;
  const { people, mostBirds } = seasonDay(facts, day);
  const longest = facts.terms.longestLineMinutes.value;
  const named = set.crew.filter(({ personId }) => personId !== undefined).map(({ name }) => name);
  const isNameless = named.length < set.people;
  const away = people.filter(({ name, canCome }) => !canCome && named.includes(name)).map(({ name }) => name);
  const coming = people.filter(({ canCome }) => canCome).map(({ name }) => name);
  const fewHands = facts.people.length > 0 && isNameless && birds > mostBirds;
  return lineMinutes > longest || away.length > 0 || fewHands
    ? [{ dayId, day, birds, batchName, lineMinutes, longest, away, fewHands, mostBirds, coming }]
    : [];
}

function yearlyView(facts: ReturnType<typeof seasonFacts>, groups: readonly GroupView[]) {
  const year = facts.today.slice(0, 4);
  const inYear = (day: LocalDay) => day.startsWith(year);
  return {
    year,
    cap: facts.terms.yearlyCap,
    dressed: facts.dressedByYear[year] ?? 0,
    held: sum(facts.held.filter(({ day }) => inYear(day)).map(({ birds }) => birds)),
    proposed: sum(groups.filter(({ day }) => inYear(day)).map(({ birds }) => birds.whole + birds.cut)),
  };
}

function groupViews(
  here: FarmContext,
  plan: SeasonPlan,
  answer: SeasonAnswer,
  held: readonly HeldDay[],
): GroupView[] {
  const pins = here.file.season.pins();
  const placed = new Map<string, { group: number; day: number; birds: Record<Way, number> }>();
  for (const { group, day, way, birds } of answer.placements) {
    const sum = placed.get(`${group} ${day}`) ?? { group, day, birds: { whole: 0, cut: 0 } };
    sum.birds[way] += birds;
    placed.set(`${group} ${day}`, sum);
  }
  return [...placed.values()]
    .toSorted((one, other) => one.day - other.day || one.group - other.group)
    .map(({ group, day, birds }) => {
      const facts = plan.groups[group]!;
      const season = plan.days[day]!;
      const worth = plan.worths[group]!.get(day)!;
      const moves = movesOf(plan.problem, answer, group, day);
      const next = nextBest(moves);
      return {
        batchId: facts.batchId,
        name: facts.name,
        day: season.day,
        birds,
        pinEntryId: pins.find((pin) => pin.batchId === facts.batchId && pin.pinnedOn === season.day)?.entryId,
        ageDays: worth.ageDays,
        dressedKilograms: worth.dressedKilograms,
        worthCents: Math.round(birds.whole * worth.worthCents.whole + birds.cut * worth.worthCents.cut),
        people: season.people.filter(({ canCome }) => canCome).map(({ name }) => name),
        ...sharedDay(season, facts.name, [...placed.values()], plan, held),
        next: next && moveView(plan, next),
        moves: moves.map((move) => moveView(plan, move)),
      };
    });
}

/** Whose birds share a day with a group's, and what that saves: one setup and cleanup and one hire, and the heat of one bath. */
function sharedDay(
  { day, openCents }: SeasonDay,
  name: string,
  placed: readonly { readonly group: number; readonly day: number }[],
  plan: SeasonPlan,
  held: readonly HeldDay[],
): Pick<GroupView, "shared" | "heldDayId"> {
  const heldThere = held.filter((one) => one.day === day);
  const names = [
    ...heldThere.map(({ batchName }) => batchName),
    ...placed.filter((one) => plan.days[one.day]!.day === day).map(({ group }) => plan.groups[group]!.name),
  ].filter((other) => other !== name);
  return {
    shared: names.length > 0 ? { names: [...new Set(names)], savedCents: openCents } : undefined,
    heldDayId: heldThere[0]?.dayId,
  };
}

function moveView(plan: SeasonPlan, move: Move): MoveView {
  const worth = plan.worths[move.group]!.get(move.toDay)!;
  return {
    day: plan.days[move.toDay]!.day,
    cents: Math.round(move.cents),
    breaks: move.breaks.map((one) => brokenView(plan, one)),
    repairs: move.repairs.map((one) => brokenView(plan, one)),
    dressedKilograms: worth.dressedKilograms,
    ageDays: worth.ageDays,
  };
}

function brokenView(plan: SeasonPlan, { firstDay, group, ...sum }: RuleSum): BrokenView {
  return {
    ...sum,
    day: firstDay === undefined ? undefined : dayOfNumber(firstDay),
    name: group === undefined ? undefined : plan.groups[group]?.name,
  };
}

function altitudesOf(farm: Farm, day: LocalDay): number[] {
  const midnight = startOfDay(day, farm.timeZone);
  const [from, to] = RIBBON_HOURS;
  const { altitudes } = skyBetween(midnight + from * HOUR, midnight + to * HOUR, placeOf(farm));
  return altitudes.filter((_, index) => index % 6 === 0).map(Math.round);
}
