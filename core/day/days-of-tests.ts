import type { Helper } from "#core/day/crew.ts";
import { OUR_PACE } from "#core/day/own-pace.ts";
import type { FarmMeans } from "#core/day/plan-input.ts";

/** A number that the farm gave. */
export const own = (value: number) => ({ value, provenance: "the farm's default" as const });

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

/** Somebody who may do everything, from the first bird to the last. */
export const helper = (id: number, change: Partial<Helper> = {}): Helper => ({
  id,
  name: `Person ${id}`,
  handsPercent: 100,
  usesKnives: true,
  scalds: true,
  lifts: true,
  bornYear: undefined,
  fromMinute: undefined,
  toMinute: undefined,
  ...change,
});
