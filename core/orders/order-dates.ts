import { addDays, addMonths, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";

/** How often an order comes again. */
export const ORDER_RHYTHMS = ["once", "week", "two-weeks", "month"] as const;
export type OrderRhythm = (typeof ORDER_RHYTHMS)[number];

export interface OrderDates {
  /** When it is wanted, the first time. */
  readonly firstOn: LocalDay;
  readonly rhythm: OrderRhythm;
  /** The last day of a standing order; undefined while it has no end. */
  readonly until: LocalDay | undefined;
}

const DAYS_BETWEEN = { week: 7, "two-weeks": 14 } as const;

/**
 * The days that an order is wanted on, from the first up to a day and including it. A monthly order keeps its day of the month: one
 * of January 31 is wanted on February 28 and on March 31.
 */
export function wantedOn({ firstOn, rhythm, until }: OrderDates, upTo: LocalDay): LocalDay[] {
  const last = until !== undefined && daysBetween(until, upTo) > 0 ? until : upTo;
  const days: LocalDay[] = [];
  for (let time = 0; ; time += 1) {
    const day = rhythm === "month" ? addMonths(firstOn, time) : inDays(firstOn, rhythm, time);
    if (daysBetween(day, last) < 0) break;
    days.push(day);
    if (rhythm === "once") break;
  }
  return days;
}

function inDays(firstOn: LocalDay, rhythm: Exclude<OrderRhythm, "month">, time: number): LocalDay {
  return rhythm === "once" ? firstOn : addDays(firstOn, time * DAYS_BETWEEN[rhythm]);
}
