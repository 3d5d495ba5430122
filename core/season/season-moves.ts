import { type Broken, checkSeason } from "#core/season/season-check.ts";
import type { Placement, SeasonAnswer, SeasonProblem } from "#core/season/season-problem.ts";

/** What it comes to if the birds of a group on a day go to another day and nothing else changes. */
export interface Move {
  readonly group: number;
  readonly fromDay: number;
  readonly toDay: number;
  readonly birds: number;
  /** Better if more than 0, cents, wishes given up counted in. */
  readonly cents: number;
  /** Rules that it breaks further than before. */
  readonly breaks: readonly RuleSum[];
  /** Rules that were broken further before. */
  readonly repairs: readonly RuleSum[];
  readonly answer: SeasonAnswer;
}

/** One move; undefined if the birds are too young or too old on that day, or no one can hold it. */
export function moveOf(
  problem: SeasonProblem,
  answer: SeasonAnswer,
  group: number,
  fromDay: number,
  toDay: number,
): Move | undefined {
  const moving = answer.placements.filter((one) => one.group === group && one.day === fromDay);
  const options = problem.groups[group]?.options ?? [];
  if (
    moving.length === 0 ||
    !moving.every(({ way }) => options.some((one) => one.day === toDay && one.way === way))
  )
    return undefined;
  const staying = answer.placements.filter((one) => !moving.includes(one));
  const moved = { placements: merged([...staying, ...moving.map((one) => ({ ...one, day: toDay }))]) };
  // A pin goes with the birds that it holds: moving them is saying something else.
  const repinned = {
    ...problem,
    pins: problem.pins.filter((pin) => pin.group !== group || (pin.day !== fromDay && pin.day !== toDay)),
  };
  const before = checkSeason(repinned, answer);
  const after = checkSeason(repinned, moved);
  return {
    group,
    fromDay,
    toDay,
    birds: moving.reduce((sum, { birds }) => sum + birds, 0),
    cents: after.cents - before.cents,
    breaks: further(after.broken, before.broken),
    repairs: further(before.broken, after.broken),
    answer: moved,
  };
}

/** Only the nearest so many other days are tried: past that no one looks, and each is a walk through the season. */
const MOST_MOVES = 60;

/** The nearest days to which the birds of a group on a day could go, in the order of the days. */
export function movesOf(
  problem: SeasonProblem,
  answer: SeasonAnswer,
  group: number,
  fromDay: number,
): Move[] {
  const days = [...new Set((problem.groups[group]?.options ?? []).map(({ day }) => day))];
  return days
    .filter((day) => day !== fromDay)
    .toSorted((one, other) => Math.abs(one - fromDay) - Math.abs(other - fromDay))
    .slice(0, MOST_MOVES)
    .map((day) => moveOf(problem, answer, group, fromDay, day))
    .filter((move) => move !== undefined)
    .toSorted((one, other) => one.toDay - other.toDay);
}

/** The best of moves that break no firm rule. */
export function nextBest(moves: readonly Move[]): Move | undefined {
  const allowed = moves.filter(({ breaks }) => !breaks.some(({ isFirm }) => isFirm));
  return allowed.toSorted((one, other) => other.cents - one.cents)[0];
}

function merged(placements: readonly Placement[]): Placement[] {
  const sums = new Map<string, Placement>();
  for (const one of placements) {
    const key = `${one.group} ${one.day} ${one.way}`;
    sums.set(key, { ...one, birds: one.birds + (sums.get(key)?.birds ?? 0) });
  }
  return [...sums.values()];
}

/** All that is broken of one rule: birds, or birds times nights, and over how many days or groups. */
export interface RuleSum {
  readonly rule: Broken["rule"];
  readonly isFirm: boolean;
  readonly by: number;
  /** The most on one day or of one group. */
  readonly most: number;
  readonly times: number;
  readonly cents: number;
  readonly firstDay: number | undefined;
  readonly group: number | undefined;
}

/** What is broken, a row a rule. */
export function ruleSums(broken: readonly Broken[]): RuleSum[] {
  return [...new Set(broken.map(({ rule }) => rule))].map((rule) => {
    const these = broken.filter((one) => one.rule === rule);
    const days = these.flatMap(({ day }) => (day === undefined ? [] : [day]));
    return {
      rule,
      isFirm: these.some(({ isFirm }) => isFirm),
      by: these.reduce((sum, { by }) => sum + by, 0),
      most: Math.max(...these.map(({ by }) => by)),
      times: these.length,
      cents: these.reduce((sum, { cents }) => sum + cents, 0),
      firstDay: days.length > 0 ? Math.min(...days) : undefined,
      group: these[0]!.group,
    };
  });
}

/** By how much further rules are broken in one list than in another, day by day and group by group. */
function further(these: readonly Broken[], those: readonly Broken[]): RuleSum[] {
  const differences = these.map((one) => {
    const other = those.find(
      ({ rule, day, group }) => rule === one.rule && day === one.day && group === one.group,
    );
    return { ...one, by: one.by - (other?.by ?? 0), cents: one.cents - (other?.cents ?? 0) };
  });
  return ruleSums(differences.filter(({ by }) => by > LEAST_DIFFERENCE));
}

/** Less than this of a bird is no difference to speak of. */
const LEAST_DIFFERENCE = 0.5;
