import type { OwnPace } from "#core/day/crew/own-pace.ts";
import { PRACTICE_FACTOR, type Practice } from "#core/processing-line/line-constants.ts";
import type { LinePerson } from "#core/processing-line/line-day.ts";
import { isBeforeChill, STATIONS, type Station } from "#core/processing-line/line-station.ts";
import { NO_RULES, type PersonRules, ruleAgainst } from "#core/safety/person-rules.ts";

/** Somebody among the farm's people, as a day's crew reckons with them. */
export interface Helper {
  readonly id: number;
  readonly name: string;
  /** What they do in the time in which a practised adult does 100. */
  readonly handsPercent: number;
  readonly usesKnives: boolean;
  readonly scalds: boolean;
  readonly lifts: boolean;
  readonly bornYear: number | undefined;
  /** There from and to, minutes from midnight by the farm's clock; undefined from the first and to the last. */
  readonly fromMinute: number | undefined;
  readonly toMinute: number | undefined;
}

/** A seat of a day's crew: who, and where in order of preference. */
export interface CrewSeat {
  /** Undefined for somebody who is not among the farm's people. */
  readonly personId: number | undefined;
  readonly name: string;
  /** At least one. */
  readonly stations: readonly Station[];
}

/** Somebody who works on a day, with what they may do. */
export interface CrewMember extends CrewSeat {
  readonly handsPercent: number;
  readonly rules: PersonRules;
  readonly fromMinute: number | undefined;
  readonly toMinute: number | undefined;
}

/** Stations at which somebody may be put. */
export const mayWorkAt = (rules: PersonRules): Station[] =>
  STATIONS.filter((station) => ruleAgainst(rules, station) === undefined);

/** Where people go who have not been told: one of three in front, the others behind, and everybody packs. */
export function usualStations(seat: number, people: number, rules: PersonRules = NO_RULES): Station[] {
  const may = mayWorkAt(rules);
  const front: readonly Station[] = ["cones", "scald", "pluck"];
  const table: readonly Station[] = ["gut", "rinse", "giblets", "pins"];
  const pins: readonly Station[] = ["pins", "rinse", "giblets", "gut"];
  const first =
    people < 3 ? (seat === 0 ? [...front, ...table] : [...table, ...front]) : [front, table, pins][seat % 3]!;
  const order: readonly Station[] = [...first, "pack", "cut", "seal"];
  const own = order.filter((station) => may.includes(station));
  return own.some(isBeforeChill) ? own : may;
}

/** Where somebody goes who joins a crew: where nobody is yet and they may be; else where people usually go. */
export function stationsToJoin(
  crew: readonly CrewSeat[],
  needed: readonly Station[],
  rules: PersonRules,
): Station[] {
  const manned = new Set(crew.flatMap(({ stations }) => stations));
  const may = mayWorkAt(rules);
  const unmanned = needed.filter((station) => !manned.has(station) && may.includes(station));
  return unmanned.length > 0 ? unmanned : usualStations(crew.length, crew.length + 1, rules);
}

/**
 * A day's crew of so many: those who have a seat, and helpers without a name for the rest. Nobody stands where a rule
 * keeps them from; who is left without a station goes where people usually go.
 *
 * @param seats those beyond the number of people are left out
 */
export function crewOf(
  seats: readonly CrewSeat[],
  people: number,
  farm: { readonly helpers: readonly Helper[]; readonly year: number },
): CrewMember[] {
  return Array.from({ length: people }, (_, index) => {
    const seat = seats[index];
    const helper = farm.helpers.find(({ id }) => id === seat?.personId);
    const rules = helper ? rulesOf(helper, farm.year) : NO_RULES;
    const may = mayWorkAt(rules);
    const stations = (seat?.stations ?? []).filter((station) => may.includes(station));
    return {
      personId: helper?.id,
      name: helper?.name ?? seat?.name ?? `Helper ${index + 1}`,
      stations: stations.length > 0 ? stations : usualStations(index, people, rules),
      handsPercent: helper?.handsPercent ?? 100,
      rules,
      fromMinute: helper?.fromMinute,
      toMinute: helper?.toMinute,
    };
  });
}

export function rulesOf({ usesKnives, scalds, lifts, bornYear }: Helper, year: number): PersonRules {
  return { usesKnives, scalds, lifts, age: bornYear === undefined ? undefined : year - bornYear };
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
