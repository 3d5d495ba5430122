import { Temporal } from "temporal-polyfill";

/** A farm-local day, `YYYY-MM-DD`. */
export type LocalDay = string;

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether the text is a day that exists in the calendar: not 2026-02-30. */
export function isLocalDay(text: string): boolean {
  if (!DAY.test(text)) return false;
  try {
    Temporal.PlainDate.from(text, { overflow: "reject" });
    return true;
  } catch {
    return false;
  }
}

const MILLISECONDS_PER_DAY = 86_400_000;

/** Days since 1970-01-01 of the plain calendar, which knows no time zones. @throws {RangeError} if it is no day */
export function dayNumber(day: LocalDay): number {
  const at = Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8)));
  if (Number.isNaN(at)) throw new RangeError(`not a day: ${day}`);
  return at / MILLISECONDS_PER_DAY;
}

/** The local day of a day number. */
export function dayOfNumber(number: number): LocalDay {
  return new Date(number * MILLISECONDS_PER_DAY).toISOString().slice(0, 10);
}

/** Whole days from one local day to another; negative if the other is earlier. */
export function daysBetween(from: LocalDay, to: LocalDay): number {
  return dayNumber(to) - dayNumber(from);
}

/** The local day so many days later; a negative number goes back. */
export function addDays(day: LocalDay, days: number): LocalDay {
  return dayOfNumber(dayNumber(day) + days);
}

/** The later of two local days. */
export const laterOf = (one: LocalDay, other: LocalDay): LocalDay =>
  daysBetween(one, other) > 0 ? other : one;

/** Day of the week, 0 for Monday to 6 for Sunday. */
export function weekdayOf(day: LocalDay): number {
  return (((dayNumber(day) + 3) % 7) + 7) % 7;
}

/** The same day so many months later; the last day of a month that is too short for it. */
export function addMonths(day: LocalDay, months: number): LocalDay {
  return Temporal.PlainDate.from(day).add({ months }, { overflow: "constrain" }).toString();
}
