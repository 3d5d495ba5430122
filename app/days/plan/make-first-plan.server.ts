import { choicesWithSeats, firstPlans } from "#app/days/plan/first-plan.ts";
import { firstPlanInPool } from "#app/server/pooled/sums.server.ts";
import type { PlanBasis } from "#core/day/plan/plan-for-date.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** Has the pool make the plan with which the page of these choices begins, so that writing the page takes no time. */
export function makeFirstPlan(basis: PlanBasis, choices: DatedChoices): void {
  const { processedOn } = choices;
  firstPlans.set(choices, firstPlanInPool({ basis, processedOn, choices: choicesWithSeats(basis, choices) }));
}
