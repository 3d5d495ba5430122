import type { LocalDay } from "#core/calendar/local-day.ts";
import { firstBirds } from "#core/day/forecast/changed-choices.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";

/** How many of a day's birds, in the order of the kill, so many bags of ice chill by the plan's own reckoning. */
export function birdsThatIceChills(
  basis: PlanBasis,
  day: LocalDay,
  choices: DayChoices,
  bags: number,
): number {
  const isEnoughFor = (birds: number) => {
    const fewer = { ...choices, lots: firstBirds(choices.lots, birds) };
    return planForDate(basis, day, fewer).plan.chill.bags.value <= bags;
  };
  let enough = 0;
  let tooMany = birdsOf(choices) + 1;
  while (tooMany - enough > 1) {
    const between = Math.floor((enough + tooMany) / 2);
    if (isEnoughFor(between)) enough = between;
    else tooMany = between;
  }
  return enough;
}
