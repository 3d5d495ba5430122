import type { Database } from "better-sqlite3";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** Somebody who helps. */
export interface Person {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  /** Weekdays on which they usually can: bit 0 for Monday to bit 6 for Sunday. */
  readonly weekdayMask: number;
  /** What they do in the time in which a practised adult does 100. */
  readonly handsPercent: number;
  /** What they may do, and when they are there; null where nobody said. Minutes are from midnight by the farm's clock. */
  readonly usesKnives: 0 | 1;
  readonly scalds: 0 | 1;
  readonly lifts: 0 | 1;
  readonly bornYear: number | null;
  readonly fromMinute: number | null;
  readonly toMinute: number | null;
}

/** A day on which somebody can or can't come, whatever their weekdays say. */
export interface PersonDay {
  readonly entryId: string;
  readonly personId: number;
  readonly onDay: string;
  readonly canCome: 0 | 1;
  readonly source: "typed" | "calendar";
  readonly why: string;
}

/** Prepares every statement about people once; call it once per connection. */
export function peopleQueries(database: Database) {
  const entries = entryQueries(database);
  const standing = "entry_id NOT IN (SELECT entry_id FROM entry_taken_back)";
  const selectPeople = database.prepare<[], Person>(`
    SELECT id, entry_id AS entryId, name, weekday_mask AS weekdayMask, hands_percent AS handsPercent,
           uses_knives AS usesKnives, scalds, lifts, born_year AS bornYear, from_minute AS fromMinute, to_minute AS toMinute
      FROM person WHERE ${standing} ORDER BY id`);
  const insertPerson = database.prepare<Omit<Person, "id">>(`
    INSERT INTO person (entry_id, name, weekday_mask, hands_percent, uses_knives, scalds, lifts, born_year,
                        from_minute, to_minute)
    VALUES (@entryId, @name, @weekdayMask, @handsPercent, @usesKnives, @scalds, @lifts, @bornYear,
            @fromMinute, @toMinute)`);
  const updatePerson = database.prepare<Omit<Person, "entryId" | "name">>(`
    UPDATE person SET weekday_mask = @weekdayMask, hands_percent = @handsPercent, uses_knives = @usesKnives,
           scalds = @scalds, lifts = @lifts, born_year = @bornYear, from_minute = @fromMinute, to_minute = @toMinute
     WHERE id = @id`);
  const selectDays = database.prepare<[string, string], PersonDay>(`
    SELECT entry_id AS entryId, person_id AS personId, on_day AS onDay, can_come AS canCome, source, why
      FROM person_day WHERE ${standing} AND on_day BETWEEN ? AND ? ORDER BY id`);
  const insertDay = database.prepare<PersonDay>(`
    INSERT INTO person_day (entry_id, person_id, on_day, can_come, source, why)
    VALUES (@entryId, @personId, @onDay, @canCome, @source, @why)`);
  const selectCalendars = database.prepare<[number], { entryId: string }>(`
    SELECT DISTINCT entry_id AS entryId FROM person_day
     WHERE person_id = ? AND source = 'calendar' AND ${standing}`);

  return {
    people: (): Person[] => selectPeople.all(),
    addPerson: (entry: Entry, person: Omit<Person, "id" | "entryId">): Recorded<"name-taken"> =>
      entries.once(entry, ["person", person], () => {
        if (selectPeople.all().some(({ name }) => name.toLowerCase() === person.name.toLowerCase()))
          return "name-taken";
        insertPerson.run({ entryId: entry.entryId, ...person });
        return undefined;
      }),

    /** What somebody can and may do; their name stays. */
    changePerson: (entry: Entry, person: Omit<Person, "entryId" | "name">): Recorded =>
      entries.once(entry, ["person-changed", person], () => {
        updatePerson.run(person);
        return undefined;
      }),

    /** What was said of days from one to another, both included, in the order in which it was said: the last word stands. */
    personDays: (from: string, to: string): PersonDay[] => selectDays.all(from, to),
    sayDay: (entry: Entry, day: Omit<PersonDay, "entryId" | "source">): Recorded =>
      entries.once(entry, ["person-day", day], () => {
        insertDay.run({ entryId: entry.entryId, source: "typed", ...day });
        return undefined;
      }),

    /** Days on which a calendar file says that somebody is busy. It takes the place of what their last file said. */
    readCalendar: (
      entry: Entry,
      personId: number,
      busy: readonly { readonly onDay: string; readonly why: string }[],
    ): Recorded =>
      entries.once(entry, ["calendar", personId, busy], () => {
        for (const { entryId } of selectCalendars.all(personId)) entries.takeBack(entryId, entry.at);
        for (const { onDay, why } of busy)
          insertDay.run({ entryId: entry.entryId, personId, onDay, canCome: 0, source: "calendar", why });
        return undefined;
      }),
  };
}
