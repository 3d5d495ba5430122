import {
  DUE,
  DUE_AT,
  FIRST_BIRD,
  IDLE,
  type LineContext,
  type LineState,
  MOMENT,
  MOST_PEOPLE,
  NEXT_MOMENT,
  NOW,
  PLACED,
} from "#core/processing-line/line-context.ts";
import { announce } from "#core/processing-line/line-places.ts";
import { STATION_COUNT } from "#core/processing-line/line-station.ts";

/** Arrays of a state that are by person, with how many numbers each person has in them. */
const BY_PERSON = {
  personStation: 1,
  personLast: 1,
  personBird: 1,
  personFactor: 1,
  personWork: 1,
  personDone: STATION_COUNT,
} as const satisfies Partial<Record<keyof LineState, number>>;
const isByPerson = (name: string): name is keyof typeof BY_PERSON => name in BY_PERSON;

/** A replication as it stands, apart from the context that plays it. */
export type Snapshot = { readonly personOf: readonly number[] } & { readonly state: LineState };

export const snapshotOf = ({ state, personOf }: LineContext): Snapshot => ({
  personOf,
  state: Object.fromEntries(
    Object.entries(state).map(([name, numbers]) => [name, numbers.slice()]),
  ) as unknown as LineState,
});

/**
 * Lets a context go on from where a replication of another stood, at a minute: the same birds, kit and people, who may be
 * at other stations or have other breaks from now on.
 */
export function takeOver(context: LineContext, { state: from, personOf }: Snapshot, minute: number): void {
  const { state, personCount, moments } = context;
  const placeBefore = context.personOf.map((person) => personOf.indexOf(person));
  for (const [name, numbers] of Object.entries(from) as [keyof LineState, Float64Array][]) {
    if (!isByPerson(name)) {
      (state[name] as Float64Array).set(numbers);
      continue;
    }
    const width = BY_PERSON[name];
    for (let person = 0; person < personCount; person += 1)
      for (let at = 0; at < width; at += 1)
        state[name][person * width + at] = numbers[placeBefore[person]! * width + at]!;
  }
  const { counts, clock } = state;
  const wasIdle = from.counts[IDLE]!;
  counts[IDLE] = placeBefore.reduce(
    (bits, before, person) => bits | (((wasIdle >> before) & 1) << person),
    0,
  );
  for (let station = 0; station < STATION_COUNT; station += 1) {
    const isFree = state.working[station]! < context.places[station]!;
    counts[PLACED] = isFree ? counts[PLACED]! | (1 << station) : counts[PLACED]! & ~(1 << station);
  }
  clock[NOW] = minute;
  counts[DUE] = 0;
  for (let place = 0; place < from.counts[DUE]!; place += 1) {
    const who = from.dueWho[place]!;
    if (who === NEXT_MOMENT) continue;
    clock[DUE_AT] = from.dueAt[place]!;
    announce(context, who < MOST_PEOPLE && who < FIRST_BIRD ? placeBefore.indexOf(who) : who);
  }
  const passed = moments.findLastIndex((at) => at <= minute);
  counts[MOMENT] = Math.max(0, passed);
  const next = moments[counts[MOMENT]! + 1];
  if (next === undefined) return;
  clock[DUE_AT] = next;
  announce(context, NEXT_MOMENT);
}
