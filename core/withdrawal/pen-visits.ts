import type { WithdrawalRule } from "#core/withdrawal/withdrawal-constants.ts";

export interface PenVisitsInput {
  readonly rule: WithdrawalRule;
  readonly shrinkBreakHours: number;
  /** What a bird too full weighs against one off feed too long. */
  readonly shortWeight: number;
  /** Hours at which the birds of each pen are killed, rising, pens in the order in which they are taken. */
  readonly killHoursByPen: readonly (readonly number[])[];
  /** Most times that someone walks out to pull feed. */
  readonly mostVisits: number;
}

export interface PenVisits {
  readonly feedOffHoursByPen: readonly number[];
  readonly tooShort: number;
  readonly tooLong: number;
  readonly meanShrinkPercent: number;
}

interface Score {
  readonly feedOffHours: number;
  readonly weighted: number;
  readonly tooShort: number;
  readonly tooLong: number;
  readonly shrink: number;
}

const GRACE_HOURS = 1e-9;

/**
 * When to pull the feed of each pen with so many visits: fewest birds outside the window (those too full counted
 * `shortWeight` times), then fewest too full, then least shrink.
 *
 * Sliding feed-off later until its lower edge touches a kill never hurts, so kill less the window's lower edge are the
 * only candidates; pens are taken in order, so one visit serves a run of them. See docs/sources.md#withdrawal.
 *
 * @throws {RangeError} if there is no pen or no bird, or no visit is allowed
 */
export function penVisits({
  rule,
  shrinkBreakHours,
  shortWeight,
  killHoursByPen,
  mostVisits,
}: PenVisitsInput): PenVisits {
  const birds = killHoursByPen.reduce((sum, kills) => sum + kills.length, 0);
  if (birds === 0) throw new RangeError("there must be a bird to kill, got none");
  if (!(mostVisits >= 1)) throw new RangeError(`there must be a visit, got ${mostVisits}`);
  const pens = killHoursByPen.length;
  const oneVisit = (from: number, to: number) =>
    bestOf(killHoursByPen.slice(from, to).flat(), rule, shrinkBreakHours, shortWeight);
  const best: (Run | undefined)[][] = Array.from({ length: mostVisits + 1 }, () =>
    Array(pens + 1).fill(undefined),
  );
  best[0]![0] = { score: NOTHING, before: undefined, from: 0, feedOffHours: 0 };
  for (let visits = 1; visits <= mostVisits; visits += 1) {
    for (let to = 1; to <= pens; to += 1) {
      for (let from = 0; from < to; from += 1) {
        const before = best[visits - 1]![from];
        if (!before) continue;
        const visit = oneVisit(from, to);
        const score = sum(before.score, visit);
        const current = best[visits]![to];
        if (!current || isBetter(score, current.score))
          best[visits]![to] = { score, before, from, feedOffHours: visit.feedOffHours };
      }
    }
  }
  const answers = best.map((byPen) => byPen[pens]).filter((run) => run !== undefined);
  const answer = answers.reduce((one, other) => (isBetter(other.score, one.score) ? other : one));
  return {
    feedOffHoursByPen: hoursOf(answer, pens),
    tooShort: answer.score.tooShort,
    tooLong: answer.score.tooLong,
    meanShrinkPercent: answer.score.shrink / birds,
  };
}

interface Run {
  readonly score: Score;
  readonly before: Run | undefined;
  readonly from: number;
  readonly feedOffHours: number;
}

const NOTHING: Score = { feedOffHours: 0, weighted: 0, tooShort: 0, tooLong: 0, shrink: 0 };

function hoursOf(last: Run, pens: number): number[] {
  const hours = Array<number>(pens).fill(0);
  let to = pens;
  for (let run: Run | undefined = last; run?.before; run = run.before) {
    hours.fill(run.feedOffHours, run.from, to);
    to = run.from;
  }
  return hours;
}

/**
 * The best hour for one walk. Birds outside the window are counted by walking along the sorted kills once; shrink, which
 * takes every bird, is added up only where nothing else tells two hours apart.
 */
function bestOf(
  kills: readonly number[],
  { windowHours: [least, most], shrinkPercentPerHour: [early, late] }: WithdrawalRule,
  shrinkBreakHours: number,
  shortWeight: number,
): Score {
  const sorted = Float64Array.from(kills).sort();
  const shrinkOf = (feedOffHours: number) => {
    let shrink = 0;
    for (const kill of sorted) {
      const hours = kill - feedOffHours;
      shrink +=
        early * Math.min(Math.max(0, hours), shrinkBreakHours) + late * Math.max(0, hours - shrinkBreakHours);
    }
    return shrink;
  };
  let best: Score = { ...NOTHING, weighted: Infinity, shrink: Infinity };
  let tooShort = 0;
  let inTime = 0;
  for (const candidate of sorted) {
    const feedOffHours = candidate - least;
    while (sorted[tooShort]! - feedOffHours < least - GRACE_HOURS) tooShort += 1;
    while (inTime < sorted.length && sorted[inTime]! - feedOffHours <= most + GRACE_HOURS) inTime += 1;
    const tooLong = sorted.length - inTime;
    const score = { feedOffHours, weighted: shortWeight * tooShort + tooLong, tooShort, tooLong };
    if (score.weighted > best.weighted) continue;
    const whole: Score = { ...score, shrink: shrinkOf(feedOffHours) };
    if (isBetter(whole, best)) best = whole;
  }
  return best;
}

function sum(one: Score, other: Score): Score {
  return {
    feedOffHours: other.feedOffHours,
    weighted: one.weighted + other.weighted,
    tooShort: one.tooShort + other.tooShort,
    tooLong: one.tooLong + other.tooLong,
    shrink: one.shrink + other.shrink,
  };
}

function isBetter(one: Score, other: Score): boolean {
  if (one.weighted !== other.weighted) return one.weighted < other.weighted;
  if (one.tooShort !== other.tooShort) return one.tooShort < other.tooShort;
  return one.shrink < other.shrink - 1e-9;
}
