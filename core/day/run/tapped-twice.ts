import { SECOND } from "#core/calendar/milliseconds.ts";
import type { DayFact, FactKind } from "#core/day/run/day-fact.ts";

/** Kinds that count birds at a post, where two phones may mean the same one. */
const COUNTS_A_BIRD: ReadonlySet<FactKind> = new Set(["kill", "dip-in", "plucked", "table", "bird"]);
/** Two taps so close together may be one bird. */
const TOO_CLOSE_MILLISECONDS = 2 * SECOND;
/** A question about an older tap comes too late to be answered from memory. */
const ASKED_WITHIN_MILLISECONDS = 60 * SECOND;

/**
 * The latest tap of a phone that may mean a bird which another phone has just tapped at the same post. Only the later of
 * the two is asked about, so that only one of the phones asks.
 *
 * @param facts of the day, in order of time
 */
export function tappedTwice(facts: readonly DayFact[], device: string, now: number): DayFact | undefined {
  return facts.findLast(
    (own, place) =>
      own.device === device &&
      COUNTS_A_BIRD.has(own.kind) &&
      now - own.at <= ASKED_WITHIN_MILLISECONDS &&
      facts
        .slice(0, place)
        .some(
          (other) =>
            other.kind === own.kind &&
            other.number === own.number &&
            other.device !== "" &&
            other.device !== device &&
            own.at - other.at <= TOO_CLOSE_MILLISECONDS,
        ),
  );
}
