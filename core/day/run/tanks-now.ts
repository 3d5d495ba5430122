import { MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { birdsIn, countOf, type DayFact } from "#core/day/run/day-fact.ts";

/** A chill tank as far as it was tapped. */
export interface Tank {
  /** From 1; birds and ice that were tapped without a tank are in the first. */
  readonly number: number;
  readonly birds: number;
  readonly bags: number;
  /** When the first of its birds went in. */
  readonly firstBirdAt: number | undefined;
  /**
   * When the bird that waits longest to be cold was killed: the first that went in after a breast was last measured cold, since
   * that says nothing of birds that came later. By the taps at the cones, birds coming in the order of the kill; else some
   * minutes before it went in.
   */
  readonly warmSince: number | undefined;
  readonly temperature: TankReading | undefined;
  /** The carcass that was measured last. */
  readonly carcass: TankReading | undefined;
}

export interface TankReading {
  readonly celsius: number;
  readonly at: number;
}

/** From the knife to the tank with no wait between. Our choice, a little over the sum of the line's medians. See docs/sources.md#line. */
const THROUGH_LINE = 15 * MINUTE;

/** @param facts of the day, in order of time */
export function tanksNow(facts: readonly DayFact[], tanks: number): Tank[] {
  const kills = facts.filter(({ kind }) => kind === "kill");
  const intoTanks = facts.filter(({ kind }) => kind === "bird");
  const killOf = (bird: DayFact) => {
    const before = intoTanks.slice(0, intoTanks.indexOf(bird)).reduce((sum, one) => sum + birdsIn(one), 0);
    return Math.min(kills[before]?.at ?? Infinity, bird.at - THROUGH_LINE);
  };
  const highest = Math.max(tanks, ...facts.map(tankOf));
  return Array.from({ length: highest }, (_, index) => {
    const number = index + 1;
    const own = facts.filter((fact) => tankOf(fact) === number);
    const first = own.find(({ kind }) => kind === "bird");
    const firstWarm = own.find(({ kind, at }) => kind === "bird" && at > coldAtOf(own));
    const ice = own.filter(({ kind }) => kind === "ice");
    return {
      number,
      birds: countOf(own, "bird"),
      bags: ice.reduce((sum, { bags }) => sum + (bags ?? 0), 0),
      firstBirdAt: first?.at,
      warmSince: firstWarm && killOf(firstWarm),
      temperature: readingOf(own, "tank-temperature"),
      carcass: readingOf(own, "carcass-temperature"),
    };
  });
}

const IN_TANKS: ReadonlySet<DayFact["kind"]> = new Set([
  "bird",
  "ice",
  "tank-temperature",
  "carcass-temperature",
]);
const tankOf = ({ kind, number }: DayFact): number => (IN_TANKS.has(kind) ? (number ?? 1) : 0);

/** When a breast was last measured, if it was cold then. */
function coldAtOf(facts: readonly DayFact[]): number {
  const last = readingOf(facts, "carcass-temperature");
  return last && last.celsius <= CHILL.targetCelsius ? last.at : -Infinity;
}

function readingOf(facts: readonly DayFact[], kind: DayFact["kind"]): TankReading | undefined {
  const last = facts.findLast((fact) => fact.kind === kind);
  return last?.celsius === undefined ? undefined : { celsius: last.celsius, at: last.at };
}
