import { Replications } from "#core/processing-line/alternatives/line-whatif.ts";
import {
  birdsOf,
  type LineDay,
  type LineLot,
  type LinePerson,
  neededStations,
} from "#core/processing-line/line-day.ts";
import { type PlaceStation, STATIONS } from "#core/processing-line/line-station.ts";

/** Something that could be changed about a day. */
export type Lever =
  | { readonly what: "one-more-person" }
  | { readonly what: "without-person"; readonly name: string }
  | { readonly what: "more-cones" | "fewer-cones"; readonly cones: number }
  | { readonly what: "more-places" | "fewer-places"; readonly station: PlaceStation; readonly places: number }
  | { readonly what: "scald-more-at-once" | "pluck-more-at-once"; readonly birds: number }
  | { readonly what: "more-tank"; readonly birds: number }
  | { readonly what: "break-moved"; readonly fromMinute: number; readonly toMinute: number }
  | { readonly what: "fewer-cut-up"; readonly cutUp: number }
  | { readonly what: "hotter-water"; readonly minutes: number };

export interface LeverEffect {
  readonly lever: Lever;
  /** Minutes by which half the replications are over sooner; less than 0 where later. */
  readonly savedMinutes: number;
}

/** A change of the tank worth asking about, birds. */
const TANK_STEP = 20;
const BREAK_STEP_MINUTES = 30;

/** What could be changed about a day, each with the day so changed. */
export function leversOf(day: LineDay): Tried[] {
  return [...moreLevers(day), ...breakLevers(day), ...lessWorkLevers(day), ...fewerLevers(day)];
}

interface Tried {
  readonly lever: Lever;
  readonly changed: LineDay;
}

const withKit = (day: LineDay, change: Partial<LineDay["kit"]>): LineDay => ({
  ...day,
  kit: { ...day.kit, ...change },
});

const withPlaces = (day: LineDay, station: PlaceStation, count: number): LineDay =>
  withKit(day, { places: { ...day.kit.places, [station]: count } });

const placesOf = (day: LineDay): PlaceStation[] => {
  const needed = neededStations(day);
  return (Object.keys(day.kit.places) as PlaceStation[]).filter((station) => needed.includes(station));
};

/** One more of everything that a day may have too little of. */
function moreLevers(day: LineDay): Tried[] {
  const { kit, people } = day;
  const one: LinePerson = { name: "", stations: STATIONS, pace: {}, fromMinute: 0, toMinute: Infinity };
  const pluck: Tried = {
    lever: { what: "pluck-more-at-once", birds: kit.pluckAtOnce + 1 },
    changed: withKit(day, { pluckAtOnce: kit.pluckAtOnce + 1 }),
  };
  const tank: Tried = {
    lever: { what: "more-tank", birds: kit.tankBirds + TANK_STEP },
    changed: withKit(day, { tankBirds: kit.tankBirds + TANK_STEP }),
  };
  return [
    { lever: { what: "one-more-person" }, changed: { ...day, people: [...people, one] } },
    {
      lever: { what: "more-cones", cones: kit.cones + 2 },
      changed: withKit(day, { cones: kit.cones + 2 }),
    },
    ...placesOf(day).map((station) => ({
      lever: { what: "more-places" as const, station, places: kit.places[station] + 1 },
      changed: withPlaces(day, station, kit.places[station] + 1),
    })),
    {
      lever: { what: "scald-more-at-once", birds: kit.scaldAtOnce + 1 },
      changed: withKit(day, { scaldAtOnce: kit.scaldAtOnce + 1 }),
    },
    ...(day.pluckBy === "drum" ? [pluck] : []),
    ...(kit.tankBirds < birdsOf(day) ? [tank] : []),
  ];
}

/** Hotter water to change to, and fewer birds cut up. */
function lessWorkLevers(day: LineDay): Tried[] {
  const { lots } = day;
  const withLots = (change: (lot: LineLot) => Partial<LineLot>): LineDay => ({
    ...day,
    lots: lots.map((lot) => ({ ...lot, ...change(lot) })),
  });
  const minutes = Math.max(...lots.map(({ waterChangeMinutes }) => waterChangeMinutes)) / 2;
  const hotter: Tried = {
    lever: { what: "hotter-water", minutes },
    changed: withLots(({ waterChangeMinutes }) => ({ waterChangeMinutes: waterChangeMinutes / 2 })),
  };
  const changed = withLots(({ cutUp }) => ({ cutUp: Math.floor(cutUp / 2) }));
  const cutUp = changed.lots.reduce((sum, lot) => sum + lot.cutUp, 0);
  const fewer: Tried = { lever: { what: "fewer-cut-up", cutUp }, changed };
  return [
    ...(day.changeWaterEvery !== undefined && minutes > 0.5 ? [hotter] : []),
    ...(day.packSameDay && lots.some((lot) => lot.cutUp > 0) ? [fewer] : []),
  ];
}

/** One less of everything, to see what the day would not miss. */
function fewerLevers(day: LineDay): Tried[] {
  const { kit, people } = day;
  const cones: Tried = {
    lever: { what: "fewer-cones", cones: kit.cones - 1 },
    changed: withKit(day, { cones: kit.cones - 1 }),
  };
  const without = people.map(({ name }, index) => ({
    lever: { what: "without-person" as const, name },
    changed: { ...day, people: people.filter((_, other) => other !== index) },
  }));
  return [
    ...(people.length > 1 ? without : []),
    ...(kit.cones > 1 ? [cones] : []),
    ...placesOf(day)
      .filter((station) => kit.places[station] > 1)
      .map((station) => ({
        lever: { what: "fewer-places" as const, station, places: kit.places[station] - 1 },
        changed: withPlaces(day, station, kit.places[station] - 1),
      })),
  ];
}

/** The first break half an hour sooner or later. */
function breakLevers(day: LineDay): { lever: Lever; changed: LineDay }[] {
  const [first, ...others] = day.breaks;
  if (!first || others.length > 0) return [];
  return [-BREAK_STEP_MINUTES, BREAK_STEP_MINUTES]
    .map((step) => first.fromMinute + step)
    .filter((fromMinute) => fromMinute > 0)
    .map((toMinute) => ({
      lever: { what: "break-moved", fromMinute: first.fromMinute, toMinute },
      changed: { ...day, breaks: [{ ...first, fromMinute: toMinute }] },
    }));
}

/**
 * What each change would save on common random numbers, most first. Yields after each change, so that its caller decides about time.
 *
 * @param replications 200 tell a minute or two apart
 */
export function* whatHelps(
  day: LineDay,
  seed: number,
  replications: number,
): Generator<LeverEffect, LeverEffect[]> {
  const now = new Replications(day, seed).likelyMinutes(replications);
  const effects: LeverEffect[] = [];
  for (const { lever, changed } of leversOf(day)) {
    const then = new Replications(changed, seed).likelyMinutes(replications);
    const effect = { lever, savedMinutes: now === then ? 0 : now - then };
    effects.push(effect);
    yield effect;
  }
  return effects.toSorted((one, other) => other.savedMinutes - one.savedMinutes);
}
