import type { LocalDay } from "#core/calendar/local-day.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { playedSetup } from "#core/day/plan/line-plan.ts";
import { lineSetup } from "#core/day/plan/line-setup.ts";
import { type PlanBasis, type PlanForDate, planForDate, planInput } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { scaldPlan } from "#core/day/plan/scald-plan.ts";
import { type Bottleneck, bottleneck } from "#core/processing-line/alternatives/line-whatif.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { type LineAnswer, LineTally } from "#core/processing-line/line-tally.ts";
import { comparedReplications, refinedReplications } from "#core/processing-line/replications.ts";
import { remembered } from "#workers/pool/remembered.ts";

/** Lines kept: plans that differ in their ice or their prices have the same. */
const KEPT_LINES = 60;

/** A day's choices, and what its plan is made of. */
export interface AskedPlan {
  readonly basis: PlanBasis;
  readonly processedOn: LocalDay;
  readonly choices: DayChoices;
  /** The lines that its plan plays, in that order, where they have been played already. */
  readonly lines?: readonly LineAnswer[];
}

/** The plan of a day, its line played as often as a page refines it. */
export function plannedDay({ basis, processedOn, choices, lines }: AskedPlan): PlanForDate {
  const played = lines?.values();
  return planForDate(basis, processedOn, choices, (day) => played?.next().value ?? playedLine(day));
}

/** The lines that a day's plan plays: that of its crew, and where they leave too early also of one that stays. */
export function playedLines({ basis, processedOn, choices }: AskedPlan): LineAnswer[] {
  const plan = planInput(basis, processedOn, choices);
  const lines: LineAnswer[] = [];
  playedSetup(
    lineSetup(
      plan,
      plan.lots.map((lot) => scaldPlan(lot, plan.means)),
    ),
    (day) => {
      const answer = playedLine(day);
      lines.push(answer);
      return answer;
    },
  );
  return lines;
}

/** Minutes from the first bird to when the last is likely in the chill, of a day's plan. */
export const plannedMinutes = (asked: AskedPlan): number =>
  (plannedDay(asked).plan.line.likelyAt.value - asked.choices.startAt) / MINUTE;

/** The plan of a day as a page begins with it. */
export const firstPlanOfDay = ({ basis, processedOn, choices }: AskedPlan): PlanForDate =>
  planForDate(basis, processedOn, choices);

/** A line, played as often as a page refines it. */
const playedLine = remembered((day: LineDay) => played(day, refinedReplications(day)), KEPT_LINES);

function played(day: LineDay, replications: number): LineAnswer {
  const tally = new LineTally(day, LINE_SEED);
  tally.play(replications);
  return tally.answer();
}

/** Replications by which it is known well enough what our times would have said of a day that is over. */
const REPLICATIONS_OF_PAST_DAY = 200;

/** Minutes that our times would have said of a day that is over. */
export const predictedMinutes = ({ basis, processedOn, choices }: AskedPlan): number =>
  planForDate(basis, processedOn, choices, (day) =>
    played(day, Math.min(REPLICATIONS_OF_PAST_DAY, refinedReplications(day))),
  ).plan.line.lineMinutes;

/** The station that limits a day's line, if any does. */
export const limitOfLine = (day: LineDay): Bottleneck | undefined =>
  bottleneck(day, LINE_SEED, comparedReplications(day));
