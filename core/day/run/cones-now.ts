import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { DayFact } from "#core/day/run/day-fact.ts";
import { BLEED_FLOOR_MINUTES } from "#core/processing-line/line-constants.ts";

/** A cone as it is now. A bird bleeds until the floor has passed; then whoever stands there sees whether it is still. */
export type Cone =
  | { readonly number: number; readonly state: "free" }
  | {
      readonly number: number;
      readonly state: "bleeding" | "past-the-floor";
      readonly bird: DayFact;
      readonly bledMilliseconds: number;
    };

/** A bird bleeds at least so long before the scald; no setting makes it shorter. See docs/sources.md#line. */
export const BLEED_FLOOR_MILLISECONDS = BLEED_FLOOR_MINUTES * MINUTE;

/**
 * What each cone holds. A bird that is put into a cone that was not emptied says that the bird before it is out.
 *
 * @param facts of the day, in any order
 */
export function conesNow(facts: readonly DayFact[], cones: number, now: number): Cone[] {
  const latest = new Map<number, DayFact>();
  for (const fact of facts) {
    if ((fact.kind !== "kill" && fact.kind !== "cone-out") || fact.number === undefined) continue;
    const before = latest.get(fact.number);
    if (!before || fact.at >= before.at) latest.set(fact.number, fact);
  }
  return Array.from({ length: cones }, (_, index): Cone => {
    const number = index + 1;
    const bird = latest.get(number);
    if (bird?.kind !== "kill") return { number, state: "free" };
    const bledMilliseconds = Math.max(0, now - bird.at);
    const state = bledMilliseconds < BLEED_FLOOR_MILLISECONDS ? "bleeding" : "past-the-floor";
    return { number, state, bird, bledMilliseconds };
  });
}
