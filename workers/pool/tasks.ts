import type { LocalDay } from "#core/calendar/local-day.ts";
import { lineSetup } from "#core/day/plan/line-setup.ts";
import { type PlanBasis, planInput } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { scaldPlan } from "#core/day/plan/scald-plan.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { type RunForecast, runForecast } from "#core/day/run/run-forecast.ts";

/** A day that runs: what its plan is made of, and what was tapped. */
export interface RunningDay {
  readonly basis: PlanBasis;
  readonly processedOn: LocalDay;
  readonly choices: DayChoices;
  /** In order of time. */
  readonly facts: readonly DayFact[];
  readonly now: number;
}

/** What the pool can be asked for: by name, what goes in and what comes out. All of it can be cloned. */
export const TASKS = {
  "run-forecast": ({ basis, processedOn, choices, facts, now }: RunningDay): RunForecast => {
    const plan = planInput(basis, processedOn, choices);
    const { day } = lineSetup(
      plan,
      plan.lots.map((lot) => scaldPlan(lot, plan.means)),
    );
    return runForecast({ planned: day, crew: plan.crew, facts, startAt: choices.startAt, now });
  },
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskInput<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskOutput<Name extends TaskName> = ReturnType<(typeof TASKS)[Name]>;
