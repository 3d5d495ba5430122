import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { LotInput, PlanInput } from "#core/day/plan/plan-input.ts";
import {
  aroundTheDark,
  darkOf,
  feedOffBy,
  type KilledLot,
  killHours,
  TOO_FULL_WEIGHT,
} from "#core/day/plan/withdrawal-plan.ts";
import type { FeedShare } from "#core/withdrawal/feed-share.ts";
import { penVisits } from "#core/withdrawal/pen-visits.ts";
import {
  SHRINK_BREAK_HOURS,
  WITHDRAWAL,
  WITHDRAWAL_METHODS,
  type WithdrawalMethod,
} from "#core/withdrawal/withdrawal-constants.ts";

/** What a method would do to this day's birds. */
export interface MethodOutcome {
  readonly method: WithdrawalMethod;
  readonly feedOffAt: number;
  readonly windowHours: readonly [number, number];
  /** On an ordinary morning, and on a slow one of ten. */
  readonly share: FeedShare;
  readonly lateShare: FeedShare;
  /** Live weight that all the birds lose until they are killed, kg, and the part of it that is meat. */
  readonly shrinkKilograms: number;
  readonly tissueKilograms: number;
}

/** The four methods for one lot, on the same day and the same replications, with what each costs. See docs/sources.md#withdrawal. */
export function methodsCompared(lot: LotInput, plan: PlanInput, killed: KilledLot): MethodOutcome[] {
  const live = lot.flock.live.value * lot.choices.birds;
  return WITHDRAWAL_METHODS.map((method) => {
    const { feedOffHours, share, lateShare } = feedOffBy(method, plan, killed);
    return {
      method,
      feedOffAt: plan.choices.startAt + feedOffHours * HOUR,
      windowHours: WITHDRAWAL[method].windowHours,
      share,
      lateShare,
      shrinkKilograms: (live * share.meanShrinkPercent) / 100,
      tissueKilograms: (live * share.meanTissueLossPercent) / 100,
    };
  });
}

/** Birds that are shut off together: a pen, or the part of a flock that is caught next. */
export interface PenOfDay {
  /** Undefined for a part of a flock that has no pens of its own. */
  readonly name: string | undefined;
  readonly birds: number;
}

export interface VisitOutcome {
  readonly visits: number;
  /** By pen, in the order in which they are caught. */
  readonly feedOffAtByPen: readonly number[];
  readonly tooShort: number;
  readonly tooLong: number;
  /** Live weight that all the birds lose until they are killed, kg. */
  readonly shrinkKilograms: number;
}

/**
 * The best feed-off of each pen of a lot with one walk out, two or three. Pens are caught in their order, so the first bird of
 * one is killed after the last of the one before; night and dusk are counted. Fewer outcomes where more visits gain nothing.
 *
 * @param pens their birds add up to the lot's
 */
export function visitsCompared(
  lot: LotInput,
  plan: PlanInput,
  killed: KilledLot,
  pens: readonly PenOfDay[],
): VisitOutcome[] {
  const { choices } = plan;
  const kills = killHours(killed, "p50");
  let first = 0;
  const rule = WITHDRAWAL[lot.choices.withdrawalMethod];
  const dark = darkOf(plan);
  const killHoursByPen = pens.map(({ birds }) => {
    const own = kills.slice(first, first + birds);
    first += birds;
    return own;
  });
  const outcomes = [1, 2, 3]
    .filter((visits) => visits <= pens.length)
    .map((visits) => {
      const { feedOffHoursByPen } = penVisits({
        rule,
        shrinkBreakHours: SHRINK_BREAK_HOURS,
        shortWeight: TOO_FULL_WEIGHT,
        killHoursByPen,
        mostVisits: visits,
      });
      const byPen = killHoursByPen.map((own, pen) => aroundTheDark(rule, own, feedOffHoursByPen[pen]!, dark));
      const sum = (of: (pen: (typeof byPen)[number], birds: number) => number) =>
        byPen.reduce((running, pen, index) => running + of(pen, pens[index]!.birds), 0);
      return {
        visits: new Set(byPen.map(({ feedOffHours }) => feedOffHours)).size,
        feedOffAtByPen: byPen.map(({ feedOffHours }) => choices.startAt + feedOffHours * HOUR),
        tooShort: sum(({ share }) => share.tooShort),
        tooLong: sum(({ share }) => share.tooLong),
        shrinkKilograms:
          (lot.flock.live.value * sum(({ share }, birds) => share.meanShrinkPercent * birds)) / 100,
      };
    });
  return outcomes.filter((one, index) => index === 0 || one.visits > outcomes[index - 1]!.visits);
}

/** Parts of a flock without pens of its own, as many as can be shut off one after the other. */
export function partsOf(birds: number): PenOfDay[] {
  const parts = Math.min(3, birds);
  return Array.from({ length: parts }, (_, part) => {
    const from = Math.floor((birds * part) / parts);
    const to = Math.floor((birds * (part + 1)) / parts);
    return { name: undefined, birds: to - from };
  });
}

/** Two crates are carried at a time: choice. See docs/sources.md#withdrawal. */
const CRATES_A_ROUND = 2;
/** Birds are caught so long before the first of them is killed: not long in a crate, and never idle at the cones. */
const CATCH_AHEAD_MINUTES = 15;

export interface CatchRound {
  readonly at: number;
  readonly birds: number;
  readonly crates: number;
}

/** Rounds in which a lot's birds are caught, so that none waits long in a crate. */
export function catchRounds({ choices, means: { crateBirds } }: PlanInput, killed: KilledLot): CatchRound[] {
  const kills = killHours(killed, "p50");
  const aRound = crateBirds * CRATES_A_ROUND;
  return Array.from({ length: Math.ceil(killed.birds / aRound) }, (_, round) => {
    const birds = Math.min(aRound, killed.birds - round * aRound);
    const firstKillAt = choices.startAt + kills[round * aRound]! * HOUR;
    return {
      at: firstKillAt - CATCH_AHEAD_MINUTES * MINUTE,
      birds,
      crates: Math.ceil(birds / crateBirds),
    };
  });
}
