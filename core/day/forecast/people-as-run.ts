import type { DayFact } from "#core/day/run/day-fact.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import type { LinePerson } from "#core/processing-line/line-day.ts";
import { STATIONS, type Station } from "#core/processing-line/line-station.ts";

interface Minutes {
  readonly minuteOf: (at: number) => number;
  /** By which the plan's minutes lie later than those of the day as it is run. */
  readonly later: number;
}

/** Who has been where, and who will be: planned people, moved, gone, or come in addition, as was tapped. */
export function peopleAsRun(
  planned: readonly LinePerson[],
  facts: readonly DayFact[],
  { minuteOf, later }: Minutes,
): LinePerson[] {
  const moves = facts.filter(({ kind, person }) => kind === "stands" && person !== "");
  const shifted = planned.map((one) => ({
    ...one,
    fromMinute: one.fromMinute > 0 ? one.fromMinute + later : 0,
    toMinute: one.toMinute + later,
  }));
  const known = new Set(planned.map(({ name }) => name));
  const others = [...new Set(moves.map(({ person }) => person))].filter((name) => !known.has(name));
  const people = [
    ...shifted.flatMap((one) => stretchesOf(one, moves, minuteOf)),
    ...others.flatMap((name) => stretchesOf(comer(name), moves, minuteOf)),
  ].filter(({ fromMinute, toMinute }) => toMinute > fromMinute);
  return people.length > 0 ? people.slice(0, MOST_PEOPLE) : shifted;
}

/** Someone who was not planned is there from the first tap that says so. */
const comer = (name: string): LinePerson => ({
  name,
  stations: STATIONS,
  pace: {},
  fromMinute: Infinity,
  toMinute: Infinity,
});

/** One person's day in stretches: as planned until they move, then at each place until the next. */
function stretchesOf(
  planned: LinePerson,
  moves: readonly DayFact[],
  minuteOf: (at: number) => number,
): LinePerson[] {
  const own = moves.filter(({ person }) => person === planned.name);
  let current: LinePerson | undefined = planned;
  const stretches: LinePerson[] = [];
  for (const { at, word } of own) {
    const minute = minuteOf(at);
    if (current) stretches.push({ ...current, toMinute: Math.min(current.toMinute, minute) });
    current = undefined;
    if (word === "gone") continue;
    const station = STATIONS.find((one) => one === word);
    current = {
      ...planned,
      stations: station === undefined ? planned.stations : firstAt(station, planned.stations),
      fromMinute: minute,
      toMinute: Math.max(planned.toMinute, minute + 1),
    };
  }
  return current ? [...stretches, current] : stretches;
}

const firstAt = (station: Station, stations: readonly Station[]): Station[] => [
  station,
  ...stations.filter((one) => one !== station),
];
