import fc from "fast-check";
import { STATION_MINUTES } from "#core/processing-line/line-constants.ts";
import type { LineDay, LinePerson } from "#core/processing-line/line-day.ts";
import { STATIONS } from "#core/processing-line/line-station.ts";

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
    person("Oskar", ["pins", "giblets"]),
  ],
  kit: {
    cones: 4,
    scaldAtOnce: 1,
    pluckAtOnce: 2,
    places: { pins: 2, gut: 3, rinse: 1, giblets: 1, pack: 2, cut: 2, seal: 1 },
    buffers: { pins: 8, gut: 8, rinse: 6, seal: 20 },
    tankBirds: 64,
  },
  minutes: {
    kill: STATION_MINUTES.kill,
    bleed: STATION_MINUTES.bleed,
    scaldLoad: STATION_MINUTES.scaldLoad,
    pluck: STATION_MINUTES.pluckLoad,
    pins: STATION_MINUTES.pins,
    gut: STATION_MINUTES.gut,
    rinse: STATION_MINUTES.rinse,
    giblets: STATION_MINUTES.giblets,
    pack: STATION_MINUTES.packWhole,
    cut: STATION_MINUTES.cutUp,
    seal: STATION_MINUTES.seal,
  },
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
    places: fc.record({
      pins: count(2),
      gut: count(3),
      rinse: count(2),
      giblets: count(2),
      pack: count(2),
      cut: count(2),
      seal: count(2),
    }),
    buffers: fc.record({ pins: count(6), gut: count(6), rinse: count(4), seal: count(5) }),
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
