import { z } from "zod";
import { choice, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { clockTime, localDay } from "#app/ui/read/read-when.ts";
import { STATION_WORDS } from "#app/words/words.ts";
import { clockOfMinute, minuteOfClock } from "#core/calendar/farm-time.ts";
import { STATIONS, type Station } from "#core/processing-line/line-station.ts";
import { isGrantable, MIN_AGE } from "#core/safety/person-rules.ts";
import type { PersonAbility } from "#db/season/people-queries.server.ts";

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

/** What someone can and may do, and when. */
const ABLE = {
  handsPercent: wholeNumber({ least: 10, most: 150, ask: "Enter their speed; 100 for a practiced adult" }),
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
  besideAdultFeet: tick,
  besideAdultGiblets: tick,
  fromTime: optional(minuteOfDay),
  toTime: optional(minuteOfDay),
};

/** The tick of each station that may be granted. */
const GRANT_FIELD: Readonly<Partial<Record<Station, "besideAdultFeet" | "besideAdultGiblets">>> = {
  feet: "besideAdultFeet",
  giblets: "besideAdultGiblets",
};
/** Stations that a farm may grant to one young person, with the field of each. */
export const GRANTS = STATIONS.filter(isGrantable).flatMap((station) => {
  const field = GRANT_FIELD[station];
  return field ? [{ station, field }] : [];
});

const isLater = (of: { fromTime: number | undefined; toTime: number | undefined }) =>
  of.fromTime === undefined || of.toTime === undefined || of.toTime > of.fromTime;
const LATER = { path: ["toTime"], message: "Enter a time after they arrive" };

/** A grant is for a young person, so it needs the year in which they were born. */
const isGrantOfYoung = (of: {
  besideAdultFeet: boolean;
  besideAdultGiblets: boolean;
  bornYear: number | undefined;
}) => (!of.besideAdultFeet && !of.besideAdultGiblets) || of.bornYear !== undefined;
const YOUNG = {
  path: ["bornYear"],
  message: `Enter their year of birth: this is for someone under ${MIN_AGE}`,
};

export const personForm = z
  .object({
    name: words(60, "Enter their name"),
    ...ABLE,
    /** The revision that the form was made from, where someone is changed. */
    seen: optional(wholeNumber({ most: 1_000_000_000, ask: "" })),
  })
  .refine(isLater, LATER)
  .refine(isGrantOfYoung, YOUNG);

/** What was said of someone, as it is kept. */
export function ableOf(said: Omit<z.output<typeof personForm>, "seen" | "name">): PersonAbility {
  return {
    weekdayMask: WEEKDAYS.reduce((mask, { field }, index) => mask | (Number(said[field]) << index), 0),
    handsPercent: said.handsPercent,
    usesKnives: !said.noKnives,
    scalds: !said.noScald,
    lifts: !said.noLifting,
    bornYear: said.bornYear ?? undefined,
    besideAdult: GRANTS.filter(({ field }) => said[field]).map(({ station }) => station),
    fromMinute: said.fromTime ?? undefined,
    toMinute: said.toTime ?? undefined,
  };
}

/** The same, as it stands in the form. */
export function ableFields(person: PersonAbility): Record<string, string | undefined> {
  const on = (isOn: boolean) => (isOn ? "on" : undefined);
  return {
    handsPercent: String(person.handsPercent),
    ...Object.fromEntries(
      WEEKDAYS.map(({ field }, index) => [field, on((person.weekdayMask & (1 << index)) !== 0)]),
    ),
    noKnives: on(!person.usesKnives),
    noScald: on(!person.scalds),
    noLifting: on(!person.lifts),
    bornYear: person.bornYear === undefined ? "" : String(person.bornYear),
    ...Object.fromEntries(
      GRANTS.map(({ station, field }) => [field, on(person.besideAdult.includes(station))]),
    ),
    fromTime: person.fromMinute === undefined ? "" : clockOfMinute(person.fromMinute),
    toTime: person.toMinute === undefined ? "" : clockOfMinute(person.toMinute),
  };
}

/** Rules and hours of someone in words, such as "no knives, from 13:00"; empty where there are none. */
export function ableInWords({
  usesKnives,
  scalds,
  lifts,
  besideAdult,
  fromMinute,
  toMinute,
}: PersonAbility): string {
  return [
    !usesKnives && "no knives",
    !scalds && "no scalding",
    !lifts && "no lifting",
    ...besideAdult.map((station) => `${STATION_WORDS[station].toLowerCase()} with an adult beside them`),
    fromMinute !== undefined && `from ${clockOfMinute(fromMinute)}`,
    toMinute !== undefined && `to ${clockOfMinute(toMinute)}`,
  ]
    .filter(Boolean)
    .join(", ");
}

export const personDayForm = (today: string) =>
  z.object({
    onDay: localDay({
      ask: "Enter the date",
      from: { day: today, problem: `That date has passed; today is ${today}` },
    }),
    canCome: choice(["yes", "no"], "Choose whether they can come"),
    why: optional(words(200, "")),
  });

/** The weekdays of a mask in words. */
export function weekdaysOf(mask: number): string {
  const names = WEEKDAYS.filter((_, index) => (mask & (1 << index)) !== 0).map(({ name }) => name);
  if (names.length === 7) return "any day";
  return names.length === 0 ? "only on listed days" : names.join(", ");
}
