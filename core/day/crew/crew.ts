import type { OwnPace } from "#core/day/crew/own-pace.ts";
import { PRACTICE_FACTOR, type Practice } from "#core/processing-line/line-constants.ts";
import type { LinePerson } from "#core/processing-line/line-day.ts";
import { isBeforeChill, STATIONS, type Station } from "#core/processing-line/line-station.ts";
import {
  ADULT_AGE,
  CLOSED_RULES,
  NO_RULES,
  needsAdultBeside,
  type PersonRules,
  ruleAgainst,
} from "#core/safety/person-rules.ts";

/** Someone among the farm's people, as a day's crew calculates with them. */
export interface Helper {
  readonly id: number;
  readonly name: string;
  /** What they do in the time in which a practiced adult does 100. */
  readonly handsPercent: number;
  readonly usesKnives: boolean;
  readonly scalds: boolean;
  readonly lifts: boolean;
  readonly bornYear: number | undefined;
  /** Stations with a blade that the farm lets them work at, while they are young, with an adult beside them. */
  readonly besideAdult: readonly Station[];
  /** There from and to, minutes from midnight by the farm's clock; undefined from the first and to the last. */
  readonly fromMinute: number | undefined;
  readonly toMinute: number | undefined;
}

/** A seat of a day's crew: who, and where in order of preference. */
export interface CrewSeat {
  /** Undefined for someone who is not among the farm's people. */
  readonly personId: number | undefined;
  readonly name: string;
  /** At least one. */
  readonly stations: readonly Station[];
}

/** Someone who works on a day, with what they may do. */
export interface CrewMember extends CrewSeat {
  readonly handsPercent: number;
  readonly rules: PersonRules;
  readonly fromMinute: number | undefined;
  readonly toMinute: number | undefined;
}

/** What a seat is called until someone takes it. */
const helperName = (seat: number) => `Helper ${seat + 1}`;

/** Whether a seat is anybody's: no one has taken it by name. */
export const isNameless = ({ personId, name }: Pick<CrewSeat, "personId" | "name">): boolean =>
  personId === undefined && /^Helper \d{1,3}$/.test(name);

/** Stations at which someone may be put. */
export const mayWorkAt = (rules: PersonRules): Station[] =>
  STATIONS.filter((station) => ruleAgainst(rules, station) === undefined);

/** Stations at which someone may be put with no one beside them. */
export const mayWorkAlone = (rules: PersonRules): Station[] => mayWorkAt({ ...rules, besideAdult: [] });

/** Where people go who have not been told: one of three in front, the others behind, and everyone packs. */
export function usualStations(seat: number, people: number, rules: PersonRules = NO_RULES): Station[] {
  const may = mayWorkAlone(rules);
  const front: readonly Station[] = ["cones", "scald", "pluck"];
  const table: readonly Station[] = ["gut", "rinse", "giblets", "feet", "pins"];
  const pins: readonly Station[] = ["feet", "pins", "rinse", "giblets", "gut"];
  const first =
    people < 3 ? (seat === 0 ? [...front, ...table] : [...table, ...front]) : [front, table, pins][seat % 3]!;
  const order: readonly Station[] = [...first, "pack", "cut", "seal"];
  const own = order.filter((station) => may.includes(station));
  return own.some(isBeforeChill) ? own : may;
}

/** Where someone goes who joins a crew: where no one is yet and they may be; else where people usually go. */
export function stationsToJoin(
  crew: readonly CrewSeat[],
  needed: readonly Station[],
  rules: PersonRules,
): Station[] {
  const manned = new Set(crew.flatMap(({ stations }) => stations));
  const may = mayWorkAlone(rules);
  const unmanned = needed.filter((station) => !manned.has(station) && may.includes(station));
  return unmanned.length > 0 ? unmanned : usualStations(crew.length, crew.length + 1, rules);
}

/**
 * A crew with one more: someone by name takes the place of a helper without one, and else a place of their own.
 *
 * @param helper undefined for a helper without a name
 */
export function joinCrew(
  crew: readonly CrewSeat[],
  helper: Helper | undefined,
  { needed, year }: { readonly needed: readonly Station[]; readonly year: number },
): CrewSeat[] {
  const rules = helper ? rulesOf(helper, year) : NO_RULES;
  const place = helper ? crew.findIndex(isNameless) : -1;
  const others = place === -1 ? crew : crew.toSpliced(place, 1);
  const seat: CrewSeat = {
    personId: helper?.id,
    name: helper?.name ?? helperName(crew.length),
    stations: stationsToJoin(others, needed, rules),
  };
  return place === -1 ? [...crew, seat] : crew.with(place, seat);
}

/** Whom a crew is made up from. */
export interface CrewFarm {
  readonly helpers: readonly Helper[];
  /** People who were taken off the list: on a day where they still stand, their last rules hold. */
  readonly former?: readonly Helper[] | undefined;
  readonly year: number;
}

/**
 * A day's crew of so many: those who have a seat, and helpers without a name for the rest. No one stands where a rule
 * keeps them from; who is left without a station goes where people usually go.
 *
 * @param seats those beyond the number of people are left out
 */
export function crewOf(seats: readonly CrewSeat[], people: number, farm: CrewFarm): CrewMember[] {
  const crew = Array.from({ length: people }, (_, index): CrewMember => {
    const seat = seats[index];
    const helper = [...farm.helpers, ...(farm.former ?? [])].find(({ id }) => id === seat?.personId);
    const unknown = seat?.personId === undefined ? NO_RULES : CLOSED_RULES;
    const rules = helper ? rulesOf(helper, farm.year) : unknown;
    const may = mayWorkAt(rules);
    const stations = (seat?.stations ?? []).filter((station) => may.includes(station));
    return {
      // Also of someone who is no longer among the farm's people: the page says so.
      personId: seat?.personId,
      name: helper?.name ?? seat?.name ?? helperName(index),
      stations: stations.length > 0 ? stations : usualStations(index, people, rules),
      handsPercent: helper?.handsPercent ?? 100,
      rules,
      fromMinute: helper?.fromMinute,
      toMinute: helper?.toMinute,
    };
  });
  return withAdultsBeside(crew);
}

/** Only the year of birth is known, so the age is the one they surely have: rules for the young hold a year longer. */
export function rulesOf(
  { usesKnives, scalds, lifts, bornYear, besideAdult }: Helper,
  year: number,
): PersonRules {
  const age = bornYear === undefined ? undefined : year - bornYear - 1;
  return { usesKnives, scalds, lifts, age, besideAdult };
}

const isAdult = ({ rules }: CrewMember) => rules.age === undefined || rules.age >= ADULT_AGE;

/** Whether someone is there for all of the hours in which another is. */
const isThereWith = (one: CrewMember, other: CrewMember) =>
  (one.fromMinute ?? 0) <= (other.fromMinute ?? 0) &&
  (one.toMinute ?? Infinity) >= (other.toMinute ?? Infinity);

/** The adult who stays beside someone young at a station, and who they are. */
export interface AdultBeside {
  readonly young: string;
  readonly station: Station;
  readonly adult: string;
}

/** Who works where only because an adult is beside them, in the order of the crew. */
export function adultsBeside(crew: readonly CrewMember[]): AdultBeside[] {
  return crew.flatMap((young) =>
    young.stations
      .filter((station) => needsAdultBeside(young.rules, station))
      .flatMap((station) => {
        const adult = crew.find(
          (one) => isAdult(one) && isThereWith(one, young) && one.stations.includes(station),
        );
        return adult ? [{ young: young.name, station, adult: adult.name }] : [];
      }),
  );
}

/**
 * Keeps an adult beside each young person who works at a blade by the farm's grant: an adult of the crew who may work
 * there and is there for as long helps at that station too. Where no one can, the young person does not work there.
 */
function withAdultsBeside(crew: readonly CrewMember[]): CrewMember[] {
  const result = [...crew];
  for (const [index, young] of crew.entries()) {
    for (const station of young.stations.filter((one) => needsAdultBeside(young.rules, one))) {
      const able = (one: CrewMember) =>
        isAdult(one) && isThereWith(one, young) && ruleAgainst(one.rules, station) === undefined;
      if (result.some((one) => able(one) && one.stations.includes(station))) continue;
      const adult = result.findIndex(able);
      if (adult !== -1) {
        result[adult] = { ...result[adult]!, stations: [...result[adult]!.stations, station] };
        continue;
      }
      const others = result[index]!.stations.filter((one) => one !== station);
      const alone = mayWorkAlone(young.rules);
      result[index] = { ...result[index]!, stations: others.length > 0 ? others : alone };
    }
  }
  return result;
}

/**
 * A crew as the line knows it: paces by practice, the farm's own days and hands, hours in minutes after the start.
 *
 * @param minuteAfterStart minutes after the start of a minute of the day by the farm's clock
 */
export function linePeople(
  crew: readonly CrewMember[],
  { practice, ownPace }: { readonly practice: Practice; readonly ownPace: Pick<OwnPace, "factor"> },
  minuteAfterStart: (minuteOfDay: number) => number,
): LinePerson[] {
  return crew.map(({ name, stations, handsPercent, fromMinute, toMinute }) => {
    const factor = (PRACTICE_FACTOR[practice] * ownPace.factor * 100) / handsPercent;
    return {
      name,
      stations,
      pace: Object.fromEntries(STATIONS.map((station) => [station, factor])),
      fromMinute: fromMinute === undefined ? 0 : minuteAfterStart(fromMinute),
      toMinute: toMinute === undefined ? Infinity : minuteAfterStart(toMinute),
    };
  });
}
