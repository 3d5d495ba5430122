import { z } from "zod";
import { choice, localDay, optional, tick, wholeNumber, words } from "#app/ui/read-field.ts";

/** The days of the week from Monday on, as a person's mask counts them. */
export const WEEKDAYS = [
  { field: "monday", name: "Monday" },
  { field: "tuesday", name: "Tuesday" },
  { field: "wednesday", name: "Wednesday" },
  { field: "thursday", name: "Thursday" },
  { field: "friday", name: "Friday" },
  { field: "saturday", name: "Saturday" },
  { field: "sunday", name: "Sunday" },
] as const;

export const personForm = z.object({
  name: words(60, "Say who it is"),
  handsPercent: wholeNumber({ least: 10, most: 150, ask: "Say how they work; 100 for a practiced adult" }),
  monday: tick,
  tuesday: tick,
  wednesday: tick,
  thursday: tick,
  friday: tick,
  saturday: tick,
  sunday: tick,
});

export const personDayForm = (today: string) =>
  z.object({
    onDay: localDay({
      ask: "Say which day",
      from: { day: today, problem: `That day is gone by; today is ${today}` },
    }),
    canCome: choice(["yes", "no"], "Say whether they can come"),
    why: optional(words(200, "")),
  });

/** The weekdays of a mask in words. */
export function weekdaysOf(mask: number): string {
  const names = WEEKDAYS.filter((_, index) => (mask & (1 << index)) !== 0).map(({ name }) => name);
  if (names.length === 7) return "any day";
  return names.length === 0 ? "only on days that were named" : names.join(", ");
}
