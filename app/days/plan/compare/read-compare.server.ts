import {
  type DayFormSetting,
  dayFields,
  dayForm,
  isSent,
  lotField,
  seatsAsText,
} from "#app/days/plan/choices/day-form.ts";
import { nestedFields } from "#app/ui/nested-fields.ts";
import { addDays, isLocalDay } from "#core/calendar/local-day.ts";
import { crewOf, type Helper } from "#core/day/crew/crew.ts";
import { crewWith } from "#core/day/crew/crew-with.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import type { DatedChoices, ProcessingDay } from "#db/day/day-queries.server.ts";

/** Fields in which the other plan may differ, by the names that the plan's own form gives them. */
const CHANGED = ["startTime", "coneCount", "tablePlaceCount"] as const;
const CHANGED_OF_LOT = ["birdCount", "cutUpCount"] as const;

export interface BesidePlan {
  /** As it was typed, to be shown again and to be kept as the plan. */
  readonly fields: Readonly<Record<string, string>>;
  /** Who comes: the farm's people by their ids, and helpers without a name. */
  readonly who: readonly number[];
  readonly helpers: string;
  /** Undefined where it can't be read; then what is wrong stands by the name of its field. */
  readonly choices: DatedChoices | undefined;
  readonly faults: Readonly<Record<string, string>>;
}

/** Reads the plan that is held beside a day: the day's own, with what the address changes about it. */
export function readAlternative(
  day: ProcessingDay,
  asked: URLSearchParams,
  setting: DayFormSetting,
  helpers: readonly Helper[],
): BesidePlan {
  const isAsked = asked.has(lotField(0, "birdCount"));
  const year = Number(day.processedOn.slice(0, 4));
  const seats = crewOf(day.crew, day.people, { helpers, year });
  const currentNames = seats.flatMap(({ personId }) => personId ?? []);
  const who = isAsked ? asked.getAll("who").map(Number) : currentNames;
  const nameless = String(Math.max(0, day.people - currentNames.length));
  const typed = isAsked ? (asked.get("helpers") ?? "0").trim() || "0" : nameless;
  const isCount = /^\d{1,2}$/.test(typed) && Number(typed) <= MOST_PEOPLE;
  const unnamed = Number(isCount ? typed : nameless);
  const crew = crewWith(seats, who, unnamed, helpers, year);
  const fields = {
    ...dayFields(day, setting),
    ...Object.fromEntries(
      [
        ...CHANGED,
        ...day.lots.flatMap((_, lot) => CHANGED_OF_LOT.map((name) => lotField(lot, name))),
      ].flatMap((name) => {
        const value = asked.get(name);
        return value === null ? [] : [[name, value.trim()]];
      }),
    ),
    processedOn: shifted(asked.get("processedOn")?.trim() ?? day.processedOn, asked.get("shift")),
    peopleCount: String(crew.length),
    crew: seatsAsText(crew),
  };
  const sent = nestedFields(Object.fromEntries(Object.entries(fields).filter(isSent)));
  const read = dayForm(setting).safeParse(sent);
  const faults: Record<string, string> = read.success
    ? {}
    : Object.fromEntries(read.error.issues.map(({ path, message }) => [fieldOf(path), message]));
  if (!isCount) faults.helpers = `Enter a whole number up to ${MOST_PEOPLE}; 0 for none`;
  if (crew.length === 0)
    faults.peopleCount = "Someone has to come. Check a name, or enter the number of helpers";
  const isRead = Object.keys(faults).length === 0;
  return { fields, who, helpers: typed, choices: isRead ? read.data : undefined, faults };
}

/** The name of the field that a path leads to. */
const fieldOf = ([name = "", lot, field]: readonly PropertyKey[]): string =>
  field === undefined ? String(name) : lotField(Number(lot), String(field));

/** A day before or after, as a button asks for; a day that can't be read stays as it was typed. */
const shifted = (day: string, by: string | null): string =>
  isLocalDay(day) && (by === "-1" || by === "1") ? addDays(day, Number(by)) : day;
