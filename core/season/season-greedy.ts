import { checkSeason } from "#core/season/season-check.ts";
import type {
  GroupOption,
  Placement,
  SeasonAnswer,
  SeasonProblem,
  SeasonRule,
} from "#core/season/season-problem.ts";

/**
 * A season made by the plain way of thinking: pins first, then the groups that must go soonest, each on the day that pays best,
 * as many birds as the rules allow. Never the best, always an answer.
 */
export function greedySeason(problem: SeasonProblem): SeasonAnswer {
  let placements: Placement[] = [];
  for (const { group, day, birds } of problem.pins) {
    const option = problem.groups[group]?.options
      .filter((one) => one.day === day)
      .toSorted((one, other) => other.centsEach - one.centsEach)[0];
    if (option) placements.push({ group, day, way: option.way, birds });
  }
  const current = {
    all: hardBreaks(problem, placements),
    butLeast: hardBreaks(problem, placements, "least-birds"),
  };
  for (const { group, index } of soonestFirst(problem)) {
    const pinnedDays = new Set(problem.pins.filter((pin) => pin.group === index).map(({ day }) => day));
    let left = group.birds - birdsOf(placements, index);
    while (left > 0) {
      const choices = group.options
        .filter(({ day }) => !pinnedDays.has(day))
        .toSorted((one, other) => promise(problem, other, left) - promise(problem, one, left))
        .slice(0, MOST_CHOICES)
        .map((option) => ({ option, birds: mostBirds(index, option, left) }))
        .filter(({ birds }) => birds > 0);
      let best: Placement[] | undefined;
      let bestCents = checkSeason(problem, { placements }).cents;
      for (const { option, birds } of choices) {
        const tried = put(placements, { group: index, day: option.day, way: option.way, birds });
        const { cents } = checkSeason(problem, { placements: tried });
        if (cents > bestCents) {
          bestCents = cents;
          best = tried;
        }
      }
      if (!best) break;
      placements = best;
      left = group.birds - birdsOf(placements, index);
    }
  }
  return { placements };

  /** As many of the birds left as the rules allow on a day, by halving. */
  function mostBirds(
    group: number,
    { day, way }: { day: number; way: Placement["way"] },
    left: number,
  ): number {
    const tried = (birds: number) => put(placements, { group, day, way, birds });
    const fits = (birds: number) => hardBreaks(problem, tried(birds), "least-birds") <= current.butLeast;
    let fit = 0;
    let unfit = left + 1;
    while (unfit - fit > 1) {
      const middle = Math.floor((fit + unfit) / 2);
      if (fits(middle)) fit = middle;
      else unfit = middle;
    }
    return hardBreaks(problem, tried(fit)) <= current.all ? fit : 0;
  }
}

/** What an option would earn if its day's crew were all that bound it. */
function promise({ days }: SeasonProblem, { day, centsEach, workEach }: GroupOption, left: number): number {
  const { mostWork, heldWork, heldBirds, openCents } = days[day]!;
  const birds = Math.min(left, Math.max(0, mostWork - heldWork) / workEach);
  return birds * centsEach - (heldBirds > 0 ? 0 : openCents);
}

/** Only so many of a group's best days are tried: this is a start, not the answer. */
const MOST_CHOICES = 8;

/** Firm rules broken, birds still without a day left out: they may get one yet. */
function hardBreaks(problem: SeasonProblem, placements: readonly Placement[], ignoring?: SeasonRule): number {
  return checkSeason(problem, { placements }).broken.filter(
    ({ isFirm, rule }) => isFirm && rule !== "everyone-placed" && rule !== ignoring,
  ).length;
}

const birdsOf = (placements: readonly Placement[], group: number) =>
  placements.reduce((sum, placement) => sum + (placement.group === group ? placement.birds : 0), 0);

function put(placements: readonly Placement[], added: Placement): Placement[] {
  const isSame = ({ group, day, way }: Placement) =>
    group === added.group && day === added.day && way === added.way;
  const same = placements.find(isSame);
  return [...placements.filter((one) => !isSame(one)), { ...added, birds: added.birds + (same?.birds ?? 0) }];
}

function soonestFirst(problem: SeasonProblem) {
  const last = (options: readonly { day: number; isLate: boolean }[]) =>
    Math.max(-1, ...options.filter(({ isLate }) => !isLate).map(({ day }) => day));
  return problem.groups
    .map((group, index) => ({ group, index }))
    .toSorted((one, other) => last(one.group.options) - last(other.group.options));
}
