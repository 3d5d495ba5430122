import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsIn, type DayFact } from "#core/day/run/day-fact.ts";

type Tap = Pick<DayFact, "kind" | "at"> & Partial<Pick<DayFact, "birds">>;

/**
 * When each bird of the day was killed, in order: as it was tapped at the cones, and where nobody tapped there, so many minutes
 * before it went into the chill tank. As many birds as reached the tank.
 *
 * @param facts in any order
 * @param minutesToChill from the kill to the tank, as the day's line plans it
 */
export function killTimes(facts: readonly Tap[], minutesToChill: number): number[] {
  const times = (kind: Tap["kind"]) =>
    facts
      .filter((fact) => fact.kind === kind)
      .flatMap((fact) => Array.from({ length: birdsIn({ birds: fact.birds }) }, () => fact.at))
      .toSorted((one, other) => one - other);
  const kills = times("kill");
  return times("bird").map((at, index) => Math.min(at, kills[index] ?? at - minutesToChill * MINUTE));
}
