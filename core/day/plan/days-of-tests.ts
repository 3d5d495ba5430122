import type { Helper } from "#core/day/crew/crew.ts";
import { OUR_PACE } from "#core/day/crew/own-pace.ts";
import type { PlanBasis } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan/plan-input.ts";

/** A number that the farm gave. */
export const own = (value: number) => ({ value, provenance: "farm-setting" as const });

/** A small farm's kit, for tests. */
export const MEANS: FarmMeans = {
  scalder: {
    waterLiters: own(57),
    powerWatts: own(2000),
    heat: "electric",
    isLidded: true,
    isInsulated: false,
    fillCelsius: own(12),
    scaldAtOnce: 1,
    circuit: { volts: 120, breakerAmps: 15 },
  },
  pluckAtOnce: 1,
  practice: "few",
  ownPace: OUR_PACE,
  ambientCelsius: own(18),
  tapCelsius: own(12),
  tankLiters: own(230),
  tankWall: "insulated",
  chillMethod: "still",
  bagKilograms: own(9.07),
  ownIce: { jugKilograms: 0, madeKilograms: 0 },
  arePensLit: true,
};

/** Someone who may do everything, from the first bird to the last. */
export const helper = (id: number, change: Partial<Helper> = {}): Helper => ({
  id,
  name: `Person ${id}`,
  handsPercent: 100,
  besideAdult: [],
  usesKnives: true,
  scalds: true,
  lifts: true,
  bornYear: undefined,
  fromMinute: undefined,
  toMinute: undefined,
  ...change,
});

/** A day's choices but for its hour, for tests. */
export const CHOICES: Omit<DayChoices, "startAt"> = {
  whichBirds: "as-they-come",
  birds: 31,
  cutUp: 0,
  people: 4,
  cones: 4,
  tablePlaces: 2,
  breakMinutes: 30,
  scaldMethod: "middle",
  withdrawalMethod: "short",
  breakAtMinute: 480,
  pinPlaces: 2,
  keepsGiblets: true,
  keepsFeet: false,
  packsSameDay: false,
  isRainExpected: false,
  pluckBy: "drum",
  changeWaterBirds: undefined,
  brineFraction: undefined,
  crew: [],
};

/** What a plan of 58 birds in the hills is calculated from, for tests. */
export const BASIS: PlanBasis = {
  aliveBirds: 58,
  helpers: [],
  pens: [],
  iceBagsInStock: undefined,
  flock: { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-25", weighings: [] },
  means: MEANS,
  place: { latitude: 43.9, longitude: -71.6 },
  timeZone: "America/New_York",
};
