import { USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import type { Helper } from "#core/day/crew/crew.ts";
import { OUR_PACE } from "#core/day/crew/own-pace.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import type { BatchBasis, PlanBasis } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices, FarmMeans, LotChoices } from "#core/day/plan/plan-input.ts";

/** A number that the farm gave. */
export const own = (value: number) => ({ value, provenance: "farm-setting" as const });

/** A small farm's kit, for tests. */
export const MEANS: FarmMeans = {
  cutting: USUAL_CUTTING,
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
  crateBirds: 10,
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

/** A lot of 31 birds of the batch below, for tests. */
export const LOT: LotChoices = {
  batchId: 1,
  ownerId: undefined,
  birds: 31,
  cutUp: 0,
  whichBirds: "as-they-come",
  scaldMethod: "middle",
  scaldCelsius: undefined,
  withdrawalMethod: "short",
  keepsGiblets: true,
  keepsFeet: false,
  pens: [],
};

/** The choices of a day of one lot, of which any may be changed, for tests. */
export type OneLotChoices = Omit<DayChoices, "lots"> & LotChoices;

/** A day whose changes may be the day's own or those of its only lot; or whose lots are given. */
export function choicesOf<Day extends Partial<DayChoices>>(
  day: Day,
  change: Partial<OneLotChoices> & Partial<Pick<DayChoices, "lots">>,
): Day {
  const ofLot = Object.fromEntries(Object.entries(change).filter(([name]) => name in LOT));
  const ofDay = Object.fromEntries(Object.entries(change).filter(([name]) => !(name in LOT)));
  const [first = LOT] = day.lots ?? [];
  return { ...day, lots: [{ ...first, ...ofLot }], ...ofDay };
}

/** A plan of one lot, and beside it what follows for that lot, for tests. */
export const ofOneLot = (plan: DayPlan) => ({
  ...plan.lots[0]!,
  ...plan,
  bath: { ...plan.bath, ...plan.bath.lots[0]! },
});

/** A day's choices but for its hour, for tests. */
export const CHOICES: Omit<DayChoices, "startAt"> = {
  lots: [LOT],
  people: 4,
  cones: 4,
  tablePlaces: 2,
  breakMinutes: 30,
  breakAtMinute: 480,
  pinPlaces: 2,
  packsSameDay: false,
  isRainExpected: false,
  pluckBy: "drum",
  rinsesFirst: false,
  coolsAfter: false,
  changeWaterBirds: undefined,
  brineFraction: undefined,
  crew: [],
};

/** What a plan of 58 birds in the hills is calculated from, for tests. */
export const BATCH: BatchBasis = {
  batchId: 1,
  name: "White 26-A",
  aliveBirds: 58,
  pens: [],
  flock: { kind: "fast", maleShare: 0.5, hatchedOn: "2026-07-25", weighings: [] },
};

export const BASIS: PlanBasis = {
  batches: [BATCH],
  helpers: [],
  iceBagsInStock: undefined,
  means: MEANS,
  place: { latitude: 43.9, longitude: -71.6 },
  timeZone: "America/New_York",
};
