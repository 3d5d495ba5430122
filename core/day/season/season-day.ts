import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { comes } from "#core/day/crew/who-can-come.ts";
import type { DayMarkFacts, SeasonFacts } from "#core/day/season/season-facts.ts";
import { CLEAN_UP_MINUTES, SET_UP_MINUTES } from "#core/processing-line/line-constants.ts";
import { HOT_DAY_CELSIUS } from "#core/season/season-constants.ts";

/** What one day of the season is like, before any bird is put on it. */
export interface SeasonDay {
  readonly day: LocalDay;
  readonly people: readonly { readonly name: string; readonly canCome: boolean; readonly why: string }[];
  /** Pairs of practiced hands. */
  readonly hands: number;
  /** Whole birds that they can do in the longest day the farm wants, by the line. */
  readonly mostBirds: number;
  readonly marks: readonly DayMarkFacts[];
  /** What is borrowed or hired for a day; empty for nothing. */
  readonly hiredThing: string;
  readonly isBooked: boolean;
  /** High of the day, °C. */
  readonly highCelsius: number;
  readonly isHot: boolean;
  /** Hire, hands for setup and cleanup, and what it costs to give the day up for other things. */
  readonly openCents: number;
  /** Why no bird can be put on it, if so. */
  readonly shut: "out" | "nobody" | "not-booked" | undefined;
}

/** Reads one day of the season. */
export function seasonDay(facts: SeasonFacts, day: LocalDay): SeasonDay {
  const { terms } = facts;
  const people = facts.people.map((person) => ({
    id: person.id,
    name: person.name,
    hands: person.handsPercent / 100,
    ...comes(person, facts.personDays, day),
  }));
  const there = people.filter(({ canCome }) => canCome);
  const hands = there.reduce((sum, person) => sum + person.hands, 0);
  const mostBirds =
    hands < 1
      ? 0
      : reachOf(
          facts,
          there.map(({ id }) => id),
          Number(day.slice(0, 4)),
        );
  const marks = facts.marks.filter(({ fromOn, toOn }) => fromOn <= day && day <= toOn);
  const isBooked = facts.bookings.some(
    ({ thing, fromOn, toOn }) =>
      thing.toLowerCase() === terms.hiredThing.toLowerCase() && fromOn <= day && day <= toOn,
  );
  const out = marks.filter(({ kind }) => kind === "out");
  const highCelsius = facts.highs[daysBetween(facts.today, day)] ?? 0;
  const setUpHours = (SET_UP_MINUTES + CLEAN_UP_MINUTES) / 60;
  return {
    day,
    people: people.map(({ name, canCome, why }) => ({ name, canCome, why })),
    hands,
    mostBirds,
    marks,
    hiredThing: terms.hiredThing,
    isBooked,
    highCelsius,
    isHot: highCelsius >= HOT_DAY_CELSIUS,
    openCents:
      terms.hireCents +
      Math.round(setUpHours * there.length * terms.centsAnHour.value) +
      out.reduce((sum, { priceCents = 0 }) => sum + priceCents, 0),
    shut: out.some(({ priceCents }) => priceCents === undefined)
      ? "out"
      : mostBirds < 1
        ? "nobody"
        : terms.mustBeBooked && terms.hiredThing !== "" && !isBooked
          ? "not-booked"
          : undefined,
  };
}

function reachOf(facts: SeasonFacts, ids: readonly number[], year: number): number {
  return facts.crewReach({
    helpers: facts.people.filter(({ id }) => ids.includes(id)),
    means: facts.means,
    cones: facts.cones,
    tablePlaces: facts.tablePlaces,
    minutes: facts.terms.longestLineMinutes.value,
    year,
  });
}
