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

/** Whole days from one local day to another; negative if the other is earlier. */
export function daysBetween(from: LocalDay, to: LocalDay): number {
  return Temporal.PlainDate.from(from).until(to, { largestUnit: "day" }).days;
}

/** The local day so many days later; a negative number goes back. */
export function addDays(day: LocalDay, days: number): LocalDay {
  return Temporal.PlainDate.from(day).add({ days }).toString();
}
