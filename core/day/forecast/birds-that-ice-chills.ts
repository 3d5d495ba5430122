import type { LocalDay } from "#core/calendar/local-day.ts";
import { firstBirds } from "#core/day/forecast/changed-choices.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices } from "#core/day/plan/plan-input.ts";
import { LINE_SEED } from "#core/processing-line/line-constants.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { LineTally } from "#core/processing-line/line-tally.ts";

/** Enough for the hours that the ice must hold: the ice is wanted to a bag. */
const REPLICATIONS = 20;

/** How many of a day's birds, in the order of the kill, so many bags of ice chill by the plan's own reckoning. */
export function birdsThatIceChills(
  basis: PlanBasis,
  day: LocalDay,
  choices: DayChoices,
  bags: number,
): number {
  const isEnoughFor = (birds: number) => {
    const fewer = { ...choices, lots: firstBirds(choices.lots, birds) };
    const { plan } = planForDate(basis, day, fewer, (line) => {
      const tally = new LineTally(line, LINE_SEED);
      tally.play(REPLICATIONS);
      return tally.answer();
    });
    return plan.chill.bags.value <= bags;
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
