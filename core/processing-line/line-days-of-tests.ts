import fc from "fast-check";
import { type LineDay, type LinePerson, lineMinutes } from "#core/processing-line/line-day.ts";
import {
  BUFFER_STATIONS,
  DEFAULT_BUFFERS,
  DEFAULT_PLACES,
  PLACE_STATIONS,
  STATIONS,
} from "#core/processing-line/line-station.ts";

/** Made-up days for tests: an ordinary one, and any that a farm might plan. */
export const person = (name: string, stations: LinePerson["stations"]): LinePerson => ({
  name,
  stations,
  pace: {},
  fromMinute: 0,
  toMinute: Infinity,
});

export const ORDINARY_DAY: LineDay = {
  birds: 40,
  people: [
    person("Tobias", ["cones", "scald", "pluck"]),
    person("Maren", ["gut"]),
    person("Ines", ["gut", "rinse", "giblets"]),
    person("Oskar", ["feet", "pins", "giblets"]),
  ],
  kit: {
    cones: 4,
    scaldAtOnce: 1,
    pluckAtOnce: 2,
    places: { ...DEFAULT_PLACES, gut: 3 },
    buffers: DEFAULT_BUFFERS,
    tankBirds: 64,
  },
  minutes: lineMinutes({ dipMinutes: 0, keepsFeet: false, pluckBy: "drum" }),
  bleedFloorMinutes: 1.5,
  pluckBy: "drum",
  giblets: true,
  packSameDay: false,
  cutUp: 0,
  restMinutes: 60,
  breaks: [{ fromMinute: 120, minutes: 30 }],
  setUpMinutes: 0,
  cleanUpMinutes: 60,
  slowSpell: undefined,
  waterChange: undefined,
  bath: undefined,
  daySdLn: 0.18,
};

const forEach = <Of extends string, Value>(keys: readonly Of[], value: (key: Of) => Value) =>
  Object.fromEntries(keys.map((key) => [key, value(key)])) as Record<Of, Value>;
const count = (max: number) => fc.integer({ min: 1, max });
const minute = (max: number) => fc.integer({ min: 0, max });

/** Everybody may do something, and one of them all of it: no day of these gets stuck unless they go home. */
const anyPeople = fc
  .array(
    fc.record({
      stations: fc.shuffledSubarray([...STATIONS], { minLength: 1 }),
      pace: fc.constantFrom({}, { gut: 1.8 }, { cones: 0.8, pins: 1.3 }),
      fromMinute: fc.constantFrom(0, 0, 45),
    }),
    { maxLength: 4 },
  )
  .map((others) =>
    [{ stations: STATIONS, pace: {}, fromMinute: 0 }, ...others].map((one, index) => ({
      ...one,
      name: `person ${index + 1}`,
      toMinute: index === 1 ? 200 : Infinity,
    })),
  );

export const anyLineDay: fc.Arbitrary<LineDay> = fc
  .record({
    birds: count(30),
    people: anyPeople,
    cones: count(6),
    scaldAtOnce: count(4),
    pluckAtOnce: count(4),
    tankBirds: fc.integer({ min: 2, max: 40 }),
    places: fc.record(forEach(PLACE_STATIONS, (station) => count(station === "gut" ? 3 : 2))),
    buffers: fc.record(forEach(BUFFER_STATIONS, (station) => count(station === "rinse" ? 4 : 6))),
    pluckBy: fc.constantFrom("drum" as const, "drum" as const, "hand" as const),
    giblets: fc.boolean(),
    packSameDay: fc.boolean(),
    cutShare: fc.constantFrom(0, 0.3, 1),
    setUpMinutes: fc.constantFrom(0, 20),
    breakAt: fc.constantFrom(undefined, 30, 90),
    slowSpell: fc.option(fc.constant({ fromMinute: 30, minutes: 60, factor: 1.25 }), { nil: undefined }),
    waterChange: fc.option(fc.record({ everyBirds: count(12), minutes: minute(20) }), { nil: undefined }),
    bath: fc.option(fc.constant({ sagPerBird: 0.7, recoveryPerMinute: 0.3, waitBelow: 2, zCelsius: 19 }), {
      nil: undefined,
    }),
  })
  .map(({ cones, scaldAtOnce, pluckAtOnce, tankBirds, places, buffers, cutShare, breakAt, ...day }) => ({
    ...ORDINARY_DAY,
    ...day,
    kit: { cones, scaldAtOnce, pluckAtOnce, tankBirds, places, buffers },
    cutUp: Math.round(cutShare * day.birds),
    breaks: breakAt === undefined ? [] : [{ fromMinute: breakAt, minutes: 25 }],
  }));
