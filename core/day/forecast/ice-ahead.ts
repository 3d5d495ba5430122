import { MINUTE } from "#core/calendar/milliseconds.ts";
import { chillByHour } from "#core/day/plan/chill-by-hour.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import type { PlanInput } from "#core/day/plan/plan-input.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { Moment } from "#core/processing-line/line-tally.ts";

/** The tanks' ice as the day goes on, by the clock. */
export interface IceAhead {
  /** Bags that have melted by the end of each hour, those before it included; in order of time. */
  readonly melted: readonly { readonly at: number; readonly bags: number }[];
  /** When all that is at hand has melted; undefined where it lasts, or no one counts it. */
  readonly outAt: number | undefined;
}

interface IceInput {
  readonly plan: PlanInput;
  readonly planned: Pick<DayPlan, "line" | "chill">;
  /** When the birds reach the tanks, as the running day has it; minutes after the origin. */
  readonly chills: readonly Moment[];
  readonly originAt: number;
}

/** Ice hour by hour by the plan's own reckoning, with the birds that are in and those to come as the day really goes. */
export function iceAhead({ plan, planned: { line, chill }, chills, originAt }: IceInput): IceAhead {
  const answer = { ...line.answer, chills: chills.slice(0, birdsOf(plan.choices)) };
  const bag = plan.means.bagKilograms.value;
  const bought = plan.iceBagsInStock === undefined ? undefined : plan.iceBagsInStock * bag;
  const atHand = bought === undefined ? undefined : bought + chill.ownKilograms;
  const { hours, iceOutMinute } = chillByHour(plan, { ...line, answer }, chill, atHand);
  const instant = (minute: number) => Math.round(originAt + minute * MINUTE);
  return {
    melted: hours.map(({ fromMinute, meltedKilograms }) => ({
      at: instant(fromMinute + 60),
      bags: meltedKilograms / bag,
    })),
    outAt: iceOutMinute === undefined ? undefined : instant(iceOutMinute),
  };
}

/** When so many bags have melted, on a straight line within the hour; undefined where that never comes. */
export function meltedAt({ melted }: IceAhead, bags: number): number | undefined {
  const index = melted.findIndex((hour) => hour.bags >= bags);
  const hour = melted[index];
  if (!hour) return undefined;
  const before = melted[index - 1];
  if (!before || hour.bags === before.bags) return hour.at;
  return before.at + ((bags - before.bags) / (hour.bags - before.bags)) * (hour.at - before.at);
}
