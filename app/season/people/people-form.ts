import { z } from "zod";
import { choice, clockTime, localDay, optional, tick, wholeNumber, words } from "#app/ui/read-field.ts";
import { clockOfMinute, minuteOfClock } from "#core/calendar/farm-time.ts";
import type { Person } from "#db/season/people-queries.server.ts";

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

const minuteOfDay = clockTime.transform(minuteOfClock);

/** What somebody can and may do, and when. */
const ABLE = {
  handsPercent: wholeNumber({ least: 10, most: 150, ask: "Say how they work; 100 for a practiced adult" }),
  monday: tick,
  tuesday: tick,
  wednesday: tick,
  thursday: tick,
  friday: tick,
  saturday: tick,
  sunday: tick,
  noKnives: tick,
  noScald: tick,
  noLifting: tick,
  bornYear: optional(wholeNumber({ least: 1900, most: 2100, ask: "" })),
  fromTime: optional(minuteOfDay),
  toTime: optional(minuteOfDay),
};

const isLater = (of: { fromTime: number | null; toTime: number | null }) =>
  of.fromTime === null || of.toTime === null || of.toTime > of.fromTime;
const LATER = { path: ["toTime"], message: "It must come after the time from which they are there" };

export const personForm = z.object({ name: words(60, "Say who it is"), ...ABLE }).refine(isLater, LATER);
export const ableForm = z.object(ABLE).refine(isLater, LATER);

/** What was said of somebody, as it is kept. */
export function ableOf(said: z.output<typeof ableForm>): Omit<Person, "id" | "entryId" | "name"> {
  const not = (isNot: 0 | 1) => (isNot === 1 ? 0 : 1);
  return {
    weekdayMask: WEEKDAYS.reduce((mask, { field }, index) => mask | (said[field] << index), 0),
    handsPercent: said.handsPercent,
    usesKnives: not(said.noKnives),
    scalds: not(said.noScald),
    lifts: not(said.noLifting),
    bornYear: said.bornYear,
    fromMinute: said.fromTime,
    toMinute: said.toTime,
  };
}

/** The same, as it stands in the form. */
export function ableFields(person: Person): Record<string, string | undefined> {
  const on = (isOn: boolean) => (isOn ? "on" : undefined);
  return {
    handsPercent: String(person.handsPercent),
    ...Object.fromEntries(
      WEEKDAYS.map(({ field }, index) => [field, on((person.weekdayMask & (1 << index)) !== 0)]),
    ),
    noKnives: on(person.usesKnives === 0),
    noScald: on(person.scalds === 0),
    noLifting: on(person.lifts === 0),
    bornYear: person.bornYear === null ? "" : String(person.bornYear),
    fromTime: person.fromMinute === null ? "" : clockOfMinute(person.fromMinute),
    toTime: person.toMinute === null ? "" : clockOfMinute(person.toMinute),
  };
}

/** Rules and hours of somebody in words, such as "no knives, from 13:00"; empty where there are none. */
export function ableInWords({ usesKnives, scalds, lifts, fromMinute, toMinute }: Person): string {
  return [
    usesKnives === 0 && "no knives",
    scalds === 0 && "no scald",
    lifts === 0 && "no lifting",
    fromMinute !== null && `from ${clockOfMinute(fromMinute)}`,
    toMinute !== null && `to ${clockOfMinute(toMinute)}`,
  ]
    .filter(Boolean)
    .join(", ");
}

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
