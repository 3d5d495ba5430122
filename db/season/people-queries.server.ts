import type { Database } from "better-sqlite3";
import type { Helper } from "#core/day/crew/crew.ts";
import type { Station } from "#core/processing-line/line-station.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** Someone who helps, as the farm keeps them. */
export interface Person extends Helper {
  readonly entryId: string;
  /** Weekdays on which they usually can: bit 0 for Monday to bit 6 for Sunday. */
  readonly weekdayMask: number;
  /** Counts on with each change. */
  readonly revision: number;
}

/** What someone can and may do: all of a person but their name, ids, and revision. */
export type PersonAbility = Omit<Person, "id" | "entryId" | "name" | "revision">;

interface PersonRow {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly weekdayMask: number;
  readonly handsPercent: number;
  readonly usesKnives: boolean;
  readonly scalds: boolean;
  readonly lifts: boolean;
  readonly bornYear: number | undefined;
  readonly fromMinute: number | undefined;
  readonly toMinute: number | undefined;
  /** With a space between. */
  readonly besideAdult: string;
  readonly revision: number;
}

/** A day on which someone can or can't come, whatever their weekdays say. */
export interface PersonDay {
  readonly entryId: string;
  readonly personId: number;
  readonly onDay: string;
  readonly canCome: boolean;
  readonly source: "typed" | "calendar";
  readonly why: string;
}

export type PersonRefusal = "name-taken" | "grant-taken";

/** Prepares every statement about people once; call it once per connection. */
export function peopleQueries(database: Database) {
  const entries = entryQueries(database);
  const current = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectWhere = (isListed: string) =>
    database.prepare<[], PersonRow>(`
    SELECT id, entry_id AS entryId, name, weekday_mask AS weekdayMask, hands_percent AS handsPercent,
           uses_knives AS usesKnives, scalds, lifts, born_year AS bornYear, from_minute AS fromMinute,
           to_minute AS toMinute, beside_adult_stations AS besideAdult, revision
      FROM person WHERE ${isListed} ORDER BY id`);
  const selectPeople = selectWhere(current);
  const selectFormer = selectWhere(`NOT (${current})`);
  const insertPerson = database.prepare<Omit<PersonRow, "id" | "revision">>(`
    INSERT INTO person (entry_id, name, weekday_mask, hands_percent, uses_knives, scalds, lifts, born_year,
                        from_minute, to_minute, beside_adult_stations)
    VALUES (@entryId, @name, @weekdayMask, @handsPercent, @usesKnives, @scalds, @lifts, @bornYear,
            @fromMinute, @toMinute, @besideAdult)`);
  const updatePerson = database.prepare<Omit<PersonRow, "entryId">>(`
    UPDATE person SET name = @name, weekday_mask = @weekdayMask, hands_percent = @handsPercent, uses_knives = @usesKnives,
           scalds = @scalds, lifts = @lifts, born_year = @bornYear, from_minute = @fromMinute, to_minute = @toMinute,
           beside_adult_stations = @besideAdult, revision = revision + 1
     WHERE id = @id AND revision = @revision`);
  const selectDays = database.prepare<[string, string], PersonDay>(`
    SELECT entry_id AS entryId, person_id AS personId, on_day AS onDay, can_come AS canCome, source, why
      FROM person_day WHERE ${current} AND on_day BETWEEN ? AND ? ORDER BY id`);
  const insertDay = database.prepare<PersonDay>(`
    INSERT INTO person_day (entry_id, person_id, on_day, can_come, source, why)
    VALUES (@entryId, @personId, @onDay, @canCome, @source, @why)`);
  const selectCalendars = database.prepare<[number], { entryId: string }>(`
    SELECT DISTINCT entry_id AS entryId FROM person_day
     WHERE person_id = ? AND source = 'calendar' AND ${current}`);

  const people = (): Person[] => selectPeople.all().map(personFromRow);
  const isNameUsed = (name: string, exceptId?: number): boolean =>
    people().some((other) => other.id !== exceptId && other.name.toLowerCase() === name.toLowerCase());
  /** A farm names one young person at most: an adult can't stand beside two. */
  const isGrantUsed = (ability: PersonAbility, exceptId?: number): boolean =>
    ability.besideAdult.length > 0 &&
    people().some(({ id, besideAdult }) => id !== exceptId && besideAdult.length > 0);

  return {
    people,
    /** Those who were taken off the list: days that they were on still name them. */
    former: (): Person[] => selectFormer.all().map(personFromRow),
    addPerson: (entry: Entry, person: PersonAbility & { readonly name: string }): Recorded<PersonRefusal> =>
      entries.once<PersonRefusal>(entry, ["person", person], () => {
        if (isNameUsed(person.name)) return "name-taken";
        if (isGrantUsed(person)) return "grant-taken";
        insertPerson.run({ entryId: entry.entryId, name: person.name, ...rowFromAbility(person) });
        return undefined;
      }),

    /** What someone is called, can and may do, if no one else has said it since the revision that was seen. */
    changePerson: (
      entry: Entry,
      {
        revision,
        ...person
      }: PersonAbility & { readonly id: number; readonly name: string; readonly revision: number },
    ): Recorded<PersonRefusal | "changed-meanwhile"> =>
      entries.once<PersonRefusal | "changed-meanwhile">(entry, ["person-changed", person], () => {
        const { id, name } = person;
        if (isNameUsed(name, id)) return "name-taken";
        if (isGrantUsed(person, id)) return "grant-taken";
        const { changes } = updatePerson.run({ id, revision, name, ...rowFromAbility(person) });
        return changes === 1 ? undefined : "changed-meanwhile";
      }),

    /** What was said of days from one to another, both included, in the order in which it was said: the last word stands. */
    personDays: (from: string, to: string): PersonDay[] => selectDays.all(from, to),
    sayDay: (entry: Entry, day: Omit<PersonDay, "entryId" | "source">): Recorded =>
      entries.once(entry, ["person-day", day], () => {
        insertDay.run({ entryId: entry.entryId, source: "typed", ...day });
        return undefined;
      }),

    /** Days on which a calendar file says that someone is busy. It takes the place of what their last file said. */
    readCalendar: (
      entry: Entry,
      personId: number,
      busy: readonly { readonly onDay: string; readonly why: string }[],
    ): Recorded =>
      entries.once(entry, ["calendar", personId, busy], () => {
        for (const { entryId } of selectCalendars.all(personId)) entries.remove(entryId, entry.at);
        for (const { onDay, why } of busy)
          insertDay.run({ entryId: entry.entryId, personId, onDay, canCome: false, source: "calendar", why });
        return undefined;
      }),
  };
}

function personFromRow({ besideAdult, ...row }: PersonRow): Person {
  return { ...row, besideAdult: besideAdult === "" ? [] : (besideAdult.split(" ") as Station[]) };
}

function rowFromAbility({
  weekdayMask,
  handsPercent,
  usesKnives,
  scalds,
  lifts,
  bornYear,
  fromMinute,
  toMinute,
  besideAdult,
}: PersonAbility): Omit<PersonRow, "id" | "entryId" | "name" | "revision"> {
  const given = { weekdayMask, handsPercent, usesKnives, scalds, lifts, bornYear, fromMinute, toMinute };
  return { ...given, besideAdult: besideAdult.join(" ") };
}
