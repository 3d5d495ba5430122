import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { scaldLoads } from "#core/day/run/scald-loads.ts";

/** A bath's temperature, by the farm's clock. */
export interface WaterReading {
  readonly at: number;
  readonly celsius: number;
}

/** What is shown of the bath, and how far back a reading still says how a dip began. */
export const SHOWN_MILLISECONDS = 10 * MINUTE;
export const READING_HOLDS_MILLISECONDS = MINUTE;

/**
 * Everything that read the bath, in order of time.
 *
 * @param facts of the day, with temperatures that were typed
 * @param probe what an attached probe read, in order of time
 */
export function waterReadings(facts: readonly DayFact[], probe: readonly WaterReading[]): WaterReading[] {
  const typed = facts.flatMap(({ kind, at, celsius }) =>
    kind === "water" && celsius !== undefined ? [{ at, celsius }] : [],
  );
  return [...typed, ...probe].toSorted((one, other) => one.at - other.at);
}

/** Of a probe's readings, those that the scald works with: the last ten minutes, and what the water was in each dip. */
export function neededReadings(
  facts: readonly DayFact[],
  probe: readonly WaterReading[],
  now: number,
): WaterReading[] {
  const dips = scaldLoads(facts).flatMap((load) => load.dips);
  let dip = 0;
  return probe.filter(({ at }) => {
    if (at > now - SHOWN_MILLISECONDS) return true;
    while (dip < dips.length && (dips[dip]!.lift?.at ?? now) < at) dip += 1;
    const next = dips[dip];
    return next !== undefined && at >= next.into.at - READING_HOLDS_MILLISECONDS;
  });
}
