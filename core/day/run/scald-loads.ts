import { MINUTE } from "#core/calendar/milliseconds.ts";
import { birdsIn, type DayFact } from "#core/day/run/day-fact.ts";

/** One dip of a load: into the water, and out again where it was lifted. */
export interface LoadDip {
  readonly into: DayFact;
  readonly lift: DayFact | undefined;
}

/** The same birds in the scald, dipped once or, where the feathers held, again. */
export interface ScaldLoad {
  readonly birds: number;
  /** At least one, in order of time. */
  readonly dips: readonly LoadDip[];
}

/** A dip of as many birds so soon after a lift whose feathers held is the same load again. */
const AGAIN_MILLISECONDS = MINUTE / 2;

/**
 * A day's dips as loads of birds. A dip that was lifted twice counts by its first lift.
 *
 * @param facts of the day, in order of time
 */
export function scaldLoads(facts: readonly DayFact[]): ScaldLoad[] {
  const lifts = new Map<string, DayFact>();
  for (const fact of facts)
    if (fact.kind === "dip-out" && fact.of !== undefined && !lifts.has(fact.of)) lifts.set(fact.of, fact);
  const loads: { birds: number; dips: LoadDip[] }[] = [];
  for (const into of facts.filter(({ kind }) => kind === "dip-in")) {
    const load = loads.at(-1);
    const before = load?.dips.at(-1)?.lift;
    const isAgain =
      before?.word === "hold" && load?.birds === birdsIn(into) && into.at - before.at <= AGAIN_MILLISECONDS;
    const dip = { into, lift: lifts.get(into.entryId) };
    if (load && isAgain) load.dips.push(dip);
    else loads.push({ birds: birdsIn(into), dips: [dip] });
  }
  return loads;
}
