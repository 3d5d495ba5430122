import { freezeTime, type PackShape } from "#core/freezing/freeze-time.ts";
import { AIR_COEFFICIENT, type AirKind, MEAT } from "#core/freezing/freezing-constants.ts";

export interface PackToFreeze {
  readonly kilograms: number;
  readonly shape: PackShape;
  readonly halfThicknessMeters: number;
}

export interface FreezerAtWork {
  readonly airCelsius: number;
  readonly spareWatts: number;
  readonly air: AirKind;
}

export type LoadFrozen =
  | {
      readonly possible: true;
      readonly kilograms: number;
      /** From when the load goes in, all that was in before it included. */
      readonly hours: number;
      /** What the thickest pack takes in that air. */
      readonly meatHours: number;
      readonly freezerHours: number;
      readonly limitedBy: "meat" | "freezer";
      readonly heatJoules: number;
    }
  | { readonly possible: false; readonly reason: "air-too-warm" | "no-watts"; readonly kilograms: number };

/**
 * Hours until a load of different packs is hard all through: the thickest pack's own hours, or those that the freezer takes for
 * the heat of all of them, whichever is longer.
 *
 * @param packs at least one
 * @param backlogJoules heat of earlier loads that the freezer has not taken away yet
 * @throws {RangeError} if there is no pack
 */
export function freezeLoad(
  packs: readonly PackToFreeze[],
  freezer: FreezerAtWork,
  startCelsius: number,
  backlogJoules = 0,
): LoadFrozen {
  if (packs.length === 0) throw new RangeError("a load needs at least one pack");
  const kilograms = packs.reduce((sum, pack) => sum + pack.kilograms, 0);
  const times = kindsOf(packs).map(({ shape, halfThicknessMeters }) =>
    freezeTime({
      meat: MEAT,
      shape,
      halfThicknessMeters,
      airWattPerSquareMeterKelvin: AIR_COEFFICIENT[freezer.air],
      startCelsius,
      airCelsius: freezer.airCelsius,
      loadKilograms: kilograms,
      spareWatts: freezer.spareWatts,
    }),
  );
  let meatHours = 0;
  let heatJoules = 0;
  for (const time of times) {
    if (!time.possible) return { possible: false, reason: time.reason, kilograms };
    meatHours = Math.max(meatHours, time.meatHours);
    heatJoules = time.heatJoules;
  }
  const freezerHours = (heatJoules + backlogJoules) / freezer.spareWatts / 3600;
  return {
    possible: true,
    kilograms,
    hours: Math.max(meatHours, freezerHours),
    meatHours,
    freezerHours,
    limitedBy: freezerHours > meatHours ? "freezer" : "meat",
    heatJoules,
  };
}

/** One pack of each shape and thickness. */
const kindsOf = (packs: readonly PackToFreeze[]): PackToFreeze[] => [
  ...new Map(packs.map((pack) => [`${pack.shape} ${pack.halfThicknessMeters}`, pack])).values(),
];

/**
 * How much the packs that lie frozen in a freezer may warm while a load freezes, K, at the most. The air warms until the load
 * gives off no more than the freezer takes, and what lies there takes up the rest of the heat.
 *
 * @param frozenKilograms what lies there hard already; 0 where nothing does
 */
export function warmingOfFrozen(load: LoadFrozen, freezer: FreezerAtWork, frozenKilograms: number): number {
  if (!load.possible || load.meatHours === 0 || frozenKilograms <= 0) return 0;
  const watts = load.heatJoules / (load.meatHours * 3600);
  if (watts <= freezer.spareWatts) return 0;
  const freezingCelsius = 1.8 + 0.263 * MEAT.centerEndCelsius + 0.105 * freezer.airCelsius;
  const airWarms = (freezingCelsius - freezer.airCelsius) * (1 - freezer.spareWatts / watts);
  const surplusJoules = load.heatJoules * (1 - freezer.spareWatts / watts);
  return Math.min(airWarms, surplusJoules / (frozenKilograms * MEAT.frozenJoulePerKilogramKelvin));
}
