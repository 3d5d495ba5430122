import type {
  GroupOption,
  Placement,
  SeasonAnswer,
  SeasonProblem,
  SeasonRule,
} from "#core/season/season-problem.ts";

/** A rule that an answer does not keep. */
export interface Broken {
  readonly rule: SeasonRule | "pin" | "no-such-option" | "too-many-birds";
  readonly isFirm: boolean;
  /** Birds past the rule, or bird-days of one day. */
  readonly by: number;
  /** What giving it up costs, cents; 0 for a firm rule. */
  readonly cents: number;
  /** Where: days since 1970-01-01, or a group. */
  readonly day?: number;
  readonly group?: number;
}

export interface SeasonCheck {
  /** What the answer earns after feed, hire, hands and wishes given up, cents. */
  readonly cents: number;
  readonly broken: readonly Broken[];
  /** Room by day from the first day of the problem's room. */
  readonly resting: readonly number[];
  readonly frozen: readonly number[];
  /** Days on which the place that does both is a freezer. */
  readonly isEitherFrozen: readonly boolean[];
}

const EPSILON = 1e-6;

/**
 * Walks through a season day by day: what it earns and which rules it does not keep.
 *
 * It shares nothing with the building of the program that is solved, so that the one can be held against the other.
 */
export function checkSeason(problem: SeasonProblem, answer: SeasonAnswer): SeasonCheck {
  const placements = answer.placements.filter(({ birds }) => birds !== 0);
  const broken: Broken[] = [];
  const breaks = (rule: SeasonRule, by: number, where: { day?: number; group?: number }) => {
    if (by <= EPSILON) return;
    const strength = problem.strength[rule];
    const cents = strength.isFirm ? 0 : strength.cents * by;
    broken.push({ rule, isFirm: strength.isFirm, by, cents, ...where });
  };
  let cents = 0;
  for (const placement of placements) {
    const option = optionOf(problem, placement);
    if (!option || placement.birds < 0 || !Number.isInteger(placement.birds)) {
      broken.push({
        rule: "no-such-option",
        isFirm: true,
        by: placement.birds,
        cents: 0,
        group: placement.group,
      });
      continue;
    }
    cents += placement.birds * option.centsEach;
    if (option.isLate) breaks("latest-age", placement.birds, whereOf(problem, placement));
  }
  cents += checkLots(problem, placements, breaks, broken);
  cents -= checkDays(problem, placements, breaks);
  const rooms = checkRooms(problem, placements, breaks);
  for (const { fromDay, toDay, birds } of problem.yearly) {
    const used = sum(
      placements.filter(({ day }) => {
        const number = problem.days[day]?.number ?? Number.NaN;
        return number >= fromDay && number <= toDay;
      }),
      ({ birds }) => birds,
    );
    breaks("yearly-cap", used - birds, { day: toDay });
  }
  return { cents: cents - sum(broken, (one) => one.cents), broken, ...rooms };
}

type Breaks = (rule: SeasonRule, by: number, where: { day?: number; group?: number }) => void;

function checkLots(
  problem: SeasonProblem,
  placements: readonly Placement[],
  breaks: Breaks,
  broken: Broken[],
): number {
  let cents = 0;
  problem.groups.forEach((group, index) => {
    const placed = sum(
      placements.filter((placement) => placement.group === index),
      ({ birds }) => birds,
    );
    if (placed > group.birds)
      broken.push({ rule: "too-many-birds", isFirm: true, by: placed - group.birds, cents: 0, group: index });
    cents -= Math.max(0, group.birds - placed) * group.unplacedCents;
    if (group.mustBePlaced) breaks("everyone-placed", group.birds - placed, { group: index });
  });
  for (const pin of problem.pins) {
    const there = sum(
      placements.filter(({ group, day }) => group === pin.group && day === pin.day),
      ({ birds }) => birds,
    );
    if (there !== pin.birds)
      broken.push({
        rule: "pin",
        isFirm: true,
        by: Math.abs(there - pin.birds),
        cents: 0,
        group: pin.group,
        ...(problem.days[pin.day] && { day: problem.days[pin.day]!.number }),
      });
  }
  return cents;
}

/** @returns what is spent to hold the days */
function checkDays(problem: SeasonProblem, placements: readonly Placement[], breaks: Breaks): number {
  let spent = 0;
  const used = new Set(placements.map(({ day }) => day).filter((day) => problem.days[day]));
  for (const index of used) {
    const day = problem.days[index]!;
    const here = placements.filter((placement) => placement.day === index);
    const birds = sum(here, (placement) => placement.birds);
    const work = sum(here, (placement) => placement.birds * (optionOf(problem, placement)?.workEach ?? 0));
    if (day.heldBirds === 0) spent += day.openCents;
    breaks("crew", work - Math.max(0, day.mostWork - day.heldWork), { day: day.number });
    breaks("least-birds", problem.leastBirds - birds - day.heldBirds, { day: day.number });
  }
  return spent;
}

function checkRooms(problem: SeasonProblem, placements: readonly Placement[], breaks: Breaks) {
  const { room, strength } = problem;
  const length = room.leaving.length;
  const resting = Array.from({ length }, (_, at) => room.resting[at] ?? 0);
  const entering = Array.from({ length }, (_, at) => room.entering[at] ?? 0);
  for (const placement of placements) {
    const option = optionOf(problem, placement);
    const group = problem.groups[placement.group];
    const day = problem.days[placement.day];
    if (!option || !group || !day) continue;
    const at = day.number - room.from;
    for (let night = at; night < Math.min(length, at + group.restDays); night += 1)
      resting[night]! += placement.birds;
    if (at + group.restDays < length)
      entering[at + group.restDays]! += placement.birds * option.freezerRoomEach;
  }
  const price = (rule: SeasonRule) => {
    const one = strength[rule];
    return one.isFirm ? 1e12 : one.cents;
  };
  let inFreezer = room.frozenNow;
  const frozen: number[] = [];
  const isEitherFrozen: boolean[] = [];
  for (let at = 0; at < length; at += 1) {
    inFreezer = Math.max(0, inFreezer + entering[at]! - room.leaving[at]!);
    const past = (isFrozen: boolean) => ({
      isFrozen,
      rest: Math.max(0, resting[at]! - room.rest - room.restSlack[at]! - (isFrozen ? 0 : room.eitherRest)),
      freezer: Math.max(
        0,
        inFreezer - room.freezer - room.freezerSlack[at]! - (isFrozen ? room.eitherFreezer : 0),
      ),
    });
    const cost = (of: { rest: number; freezer: number }) =>
      of.rest * price("rest-room") + of.freezer * price("freezer-room");
    const asRest = past(false);
    const asFreezer = past(true);
    const chosen = cost(asFreezer) < cost(asRest) ? asFreezer : asRest;
    breaks("rest-room", chosen.rest, { day: room.from + at });
    breaks("freezer-room", chosen.freezer, { day: room.from + at });
    frozen.push(inFreezer);
    isEitherFrozen.push(chosen.isFrozen);
  }
  return { resting, frozen, isEitherFrozen };
}

/** Options by day and way, kept for as long as their problem is. */
const indexes = new WeakMap<readonly GroupOption[], Map<string, GroupOption>>();

function optionOf(problem: SeasonProblem, { group, day, way }: Placement): GroupOption | undefined {
  const options = problem.groups[group]?.options;
  if (!options) return undefined;
  let index = indexes.get(options);
  if (!index) {
    index = new Map(options.map((option) => [`${option.way}${option.day}`, option]));
    indexes.set(options, index);
  }
  return index.get(`${way}${day}`);
}

const whereOf = (problem: SeasonProblem, { group, day }: Placement) => ({
  group,
  day: problem.days[day]!.number,
});

function sum<Item>(items: readonly Item[], of: (item: Item) => number): number {
  return items.reduce((running, item) => running + of(item), 0);
}
