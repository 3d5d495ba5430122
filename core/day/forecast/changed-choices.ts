import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type CrewFarm, type CrewMember, crewOf, mayWorkAlone } from "#core/day/crew/crew.ts";
import { crewWith } from "#core/day/crew/crew-with.ts";
import type { DayChoices, LotChoices } from "#core/day/plan/plan-input.ts";
import { birdsOf, type PluckBy } from "#core/processing-line/line-day.ts";
import type { Station } from "#core/processing-line/line-station.ts";

/** What changed on the morning of a day. */
export interface ChangeOfPlan {
  /** Who does not come: places in the crew, from 0. */
  readonly missing: readonly number[];
  /** Who comes instead: the farm's people, by id. */
  readonly coming: readonly number[];
  readonly pluckBy: PluckBy;
  readonly isRaining: boolean;
  /** By how much the first bird is later. */
  readonly laterMinutes: number;
  /** Birds to be killed; no more than were planned. */
  readonly birds: number;
}

/** The change that changes nothing. */
export const noChange = (choices: DayChoices): ChangeOfPlan => ({
  missing: [],
  coming: [],
  pluckBy: choices.pluckBy,
  isRaining: choices.isRainExpected,
  laterMinutes: 0,
  birds: birdsOf(choices),
});

/** A day's choices after a change; undefined where nobody is left to work. */
export function changedChoices(
  choices: DayChoices,
  change: ChangeOfPlan,
  farm: CrewFarm,
): DayChoices | undefined {
  const seats = crewOf(choices.crew, choices.people, farm);
  const staying = seats.filter((_, seat) => !change.missing.includes(seat));
  const known = staying.flatMap(({ personId }) => personId ?? []);
  const unnamed = staying.filter(({ personId }) => personId === undefined);
  const crew = crewWith(
    staying,
    [...known, ...change.coming.filter((id) => !known.includes(id))],
    unnamed.length,
    farm.helpers,
    farm.year,
  );
  if (crew.length === 0) return undefined;
  const needsHandsToPluck = change.pluckBy !== "drum" && change.pluckBy !== choices.pluckBy;
  const isChanged = change.missing.length > 0 || change.coming.length > 0 || needsHandsToPluck;
  return {
    ...choices,
    ...(isChanged && {
      people: crew.length,
      crew: manned(crew, seats, needsHandsToPluck ? ["pluck"] : []),
    }),
    lots: firstBirds(choices.lots, change.birds),
    startAt: choices.startAt + change.laterMinutes * MINUTE,
    pluckBy: change.pluckBy,
    isRainExpected: change.isRaining,
  };
}

/** Where someone is missing, or work needs more hands, the others help out there after all else, within their rules. */
function manned(
  crew: DayChoices["crew"],
  before: readonly CrewMember[],
  needHands: readonly Station[],
): DayChoices["crew"] {
  const has = new Set(crew.flatMap(({ stations }) => stations));
  const wanted = [...new Set([...before.flatMap(({ stations }) => stations), ...needHands])].filter(
    (station) => !has.has(station) || needHands.includes(station),
  );
  const mayAt = (name: string, station: Station) => {
    const known = before.find((one) => one.name === name);
    return known !== undefined && mayWorkAlone(known.rules).includes(station);
  };
  return crew.map(({ personId, name, stations }) => ({
    personId,
    name,
    stations: [
      ...stations,
      ...wanted.filter((station) => !stations.includes(station) && mayAt(name, station)),
    ],
  }));
}

/** The first birds in the order of the kill. */
export function firstBirds(lots: readonly LotChoices[], birds: number): LotChoices[] {
  let left = Math.max(1, birds);
  return lots.flatMap((lot) => {
    const own = Math.min(left, lot.birds);
    left -= own;
    return own > 0 ? [{ ...lot, birds: own, cutUp: Math.min(lot.cutUp, own) }] : [];
  });
}

/** The birds after the first so many, for another day. */
export function birdsAfter(lots: readonly LotChoices[], birds: number): LotChoices[] {
  const first = firstBirds(lots, birds);
  return lots.flatMap((lot) => {
    const taken = first.find(({ batchId }) => batchId === lot.batchId);
    const own = lot.birds - (taken?.birds ?? 0);
    return own > 0 ? [{ ...lot, birds: own, cutUp: Math.min(own, lot.cutUp - (taken?.cutUp ?? 0)) }] : [];
  });
}
