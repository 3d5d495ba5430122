import { stationRow } from "#core/processing-line/line-station.ts";
import type { Station } from "#core/processing-line/station-table.ts";

/** What someone may not do on the line. */
export interface PersonRules {
  readonly usesKnives: boolean;
  readonly scalds: boolean;
  readonly lifts: boolean;
  /** Years, counted low: the age they surely have; undefined where no one said, which the farm's form calls an adult. */
  readonly age: number | undefined;
  /** Stations with a blade that the farm lets a young person work at with an adult beside them. Empty for most. */
  readonly besideAdult: readonly Station[];
}

export const NO_RULES: PersonRules = {
  usesKnives: true,
  scalds: true,
  lifts: true,
  age: undefined,
  besideAdult: [],
};

/** For someone of whom nothing is known any more: where a blade, hot water or a machine is, they are kept from it. */
export const CLOSED_RULES: PersonRules = {
  usesKnives: false,
  scalds: false,
  lifts: false,
  age: 0,
  besideAdult: [],
};

/** Younger than this no one is put at blades, hot water or machines. Our caution; local law may ask for more. See docs/sources.md#people. */
export const MIN_AGE = 16;
/** From this age someone can stand beside a young person. See docs/sources.md#people. */
export const ADULT_AGE = 18;

export type RuleBroken = "no-knives" | "no-scald" | "no-lifting" | "too-young";

/** Stations that a farm may grant to one named young person, with an adult beside them. */
export const isGrantable = (station: Station): boolean => {
  const { mayBeGranted, isHot, hasMachine } = stationRow(station).rules;
  return mayBeGranted && !isHot && !hasMachine;
};

/** Whether someone works at a station only by the farm's grant, so that an adult must be beside them. */
export const needsAdultBeside = (rules: PersonRules, station: Station): boolean =>
  rules.age !== undefined &&
  rules.age < MIN_AGE &&
  stationRow(station).rules.usesBlade &&
  isGrantable(station) &&
  rules.besideAdult.includes(station);

/**
 * The rule that keeps someone from a station; undefined where none does. A station with a blade, hot water or a machine
 * is closed to the young; a grant opens it only where the station's own row allows grants.
 */
export function ruleAgainst(rules: PersonRules, station: Station): RuleBroken | undefined {
  const { usesBlade, isHot, hasMachine, isHeavy } = stationRow(station).rules;
  if (needsAdultBeside(rules, station)) return undefined;
  if (rules.age !== undefined && rules.age < MIN_AGE && (usesBlade || isHot || hasMachine))
    return "too-young";
  if (!rules.usesKnives && usesBlade) return "no-knives";
  if (!rules.scalds && isHot) return "no-scald";
  if (!rules.lifts && isHeavy) return "no-lifting";
  return undefined;
}
