import fc from "fast-check";
import { USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import { type LineDay, type LineLot, type LinePerson, lineMinutes } from "#core/processing-line/line-day.ts";
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

export const ORDINARY_LOT: LineLot = {
  birds: 40,
  cutUp: 0,
  minutes: lineMinutes({ dipMinutes: 0, keepsFeet: false, pluckBy: "drum" }),
  packsPerBird: USUAL_CUTTING.packsPerBird,
  giblets: true,
  restMinutes: 60,
  tankShare: 1,
  bath: undefined,
  settingMinutes: 0,
  waterChangeMinutes: 0,
};

/** The ordinary lot, but for what is said. */
export const lotOf = (change: Partial<LineLot>): LineLot => ({ ...ORDINARY_LOT, ...change });

export const ORDINARY_DAY: LineDay = {
  lots: [ORDINARY_LOT],
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
    sealAtOnce: 1,
  },
  bleedFloorMinutes: 1.5,
  pluckBy: "drum",
  packSameDay: false,
  breaks: [{ fromMinute: 120, minutes: 30 }],
  setUpMinutes: 0,
  cleanUpMinutes: 60,
  slowSpell: undefined,
  changeWaterEvery: undefined,
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

/** Lots that differ in all that a lot may differ in; the first is at the water's setting. */
const anyLots = (of: { birds: number; lots: number }): fc.Arbitrary<readonly LineLot[]> =>
  fc
    .array(
      fc.record({
        birds: count(of.birds),
        cutShare: fc.constantFrom(0, 0.3, 1),
        giblets: fc.boolean(),
        restMinutes: fc.constantFrom(60, 60, 45, 90),
        tankShare: fc.constantFrom(1, 1, 0.5, 0.75),
        bath: fc.option(
          fc.record({
            sagPerBird: fc.constantFrom(0.7, 0.4),
            recoveryPerMinute: fc.constantFrom(0.3, 0.5),
            waitBelow: fc.constantFrom(2, 1),
            zCelsius: fc.constant(19),
          }),
          { nil: undefined },
        ),
        dipMinutes: fc.constantFrom(0, 0, 2.5),
        keepsFeet: fc.boolean(),
        packsPerBird: fc.constantFrom(2, 3.5, 8),
        settingMinutes: fc.constantFrom(0, 0, 12),
        waterChangeMinutes: minute(20),
      }),
      { minLength: 1, maxLength: of.lots },
    )
    .map((lots) =>
      lots.map(({ cutShare, dipMinutes, keepsFeet, ...lot }, index) => ({
        ...lot,
        tankShare: index === 0 ? 1 : lot.tankShare,
        settingMinutes: index === 0 ? 0 : lot.settingMinutes,
        cutUp: Math.round(cutShare * lot.birds),
        minutes: lineMinutes({
          dipMinutes,
          keepsFeet,
          pluckBy: "drum",
          cutting: { ...USUAL_CUTTING, packsPerBird: lot.packsPerBird },
        }),
      })),
    );

export const anyLineDay: fc.Arbitrary<LineDay> = fc
  .record({
    lots: fc.oneof(anyLots({ birds: 30, lots: 1 }), anyLots({ birds: 12, lots: 4 })),
    people: anyPeople,
    cones: count(6),
    scaldAtOnce: count(4),
    pluckAtOnce: count(4),
    tankBirds: fc.integer({ min: 2, max: 40 }),
    sealAtOnce: count(4),
    places: fc.record(forEach(PLACE_STATIONS, (station) => count(station === "gut" ? 3 : 2))),
    buffers: fc.record(forEach(BUFFER_STATIONS, (station) => count(station === "rinse" ? 4 : 6))),
    pluckBy: fc.constantFrom("drum" as const, "drum" as const, "hand" as const),
    packSameDay: fc.boolean(),
    setUpMinutes: fc.constantFrom(0, 20),
    breakAt: fc.constantFrom(undefined, 30, 90),
    slowSpell: fc.option(fc.constant({ fromMinute: 30, minutes: 60, factor: 1.25 }), { nil: undefined }),
    changeWaterEvery: fc.option(count(12), { nil: undefined }),
  })
  .map(({ cones, scaldAtOnce, pluckAtOnce, tankBirds, sealAtOnce, places, buffers, breakAt, ...day }) => ({
    ...ORDINARY_DAY,
    ...day,
    kit: { cones, scaldAtOnce, pluckAtOnce, tankBirds, sealAtOnce, places, buffers },
    breaks: breakAt === undefined ? [] : [{ fromMinute: breakAt, minutes: 25 }],
  }));
