export const PACK_SHAPES = ["slab", "cylinder", "sphere"] as const;
export type PackShape = (typeof PACK_SHAPES)[number];

const SHAPE_FACTOR: Readonly<Record<PackShape, 1 | 2 | 3>> = { slab: 1, cylinder: 2, sphere: 3 };

export interface FreezeInput {
  readonly meat: {
    readonly unfrozenKilogramPerCubicMeter: number;
    readonly frozenKilogramPerCubicMeter: number;
    readonly unfrozenJoulePerKilogramKelvin: number;
    readonly frozenJoulePerKilogramKelvin: number;
    readonly latentJoulePerKilogram: number;
    readonly frozenWattPerMeterKelvin: number;
    /** The center is to reach this. */
    readonly centerEndCelsius: number;
  };
  readonly shape: PackShape;
  readonly halfThicknessMeters: number;
  readonly airWattPerSquareMeterKelvin: number;
  readonly startCelsius: number;
  readonly airCelsius: number;
  readonly loadKilograms: number;
  /** What the freezer can take away beyond its own losses. */
  readonly spareWatts: number;
}

export type FreezeTime =
  | {
      readonly possible: true;
      readonly hours: number;
      /** What one pack takes in that air, and what the freezer takes for the whole load. */
      readonly meatHours: number;
      readonly freezerHours: number;
      readonly limitedBy: "meat" | "freezer";
      readonly heatJoules: number;
      readonly meanFreezingCelsius: number;
    }
  | {
      readonly possible: false;
      readonly reason: "air-too-warm" | "no-watts";
      readonly meanFreezingCelsius: number;
    };

/**
 * Hours until a load is frozen hard: the longer of what the meat takes and what the freezer can take away.
 *
 * Pham's two-phase formula of 1986, within 10 % on regular shapes. A load that is hard already takes no time.
 * See docs/sources.md#freezing.
 *
 * @throws {RangeError} if a size, a coefficient or the load is not more than 0
 */
export function freezeTime(of: FreezeInput): FreezeTime {
  const { meat, startCelsius, airCelsius } = of;
  for (const name of ["halfThicknessMeters", "airWattPerSquareMeterKelvin", "loadKilograms"] as const)
    if (!(of[name] > 0)) throw new RangeError(`${name} must be more than 0, got ${of[name]}`);
  const meanFreezingCelsius = 1.8 + 0.263 * meat.centerEndCelsius + 0.105 * airCelsius;
  if (!(airCelsius < meat.centerEndCelsius))
    return { possible: false, reason: "air-too-warm", meanFreezingCelsius };
  if (!(of.spareWatts > 0)) return { possible: false, reason: "no-watts", meanFreezingCelsius };
  const { toCool, toFreeze } = heatOf(of, meanFreezingCelsius);
  const perArea =
    (meat.unfrozenKilogramPerCubicMeter * toCool) / ((startCelsius + meanFreezingCelsius) / 2 - airCelsius) +
    (meat.frozenKilogramPerCubicMeter * toFreeze) / (meanFreezingCelsius - airCelsius);
  const biot = (of.airWattPerSquareMeterKelvin * of.halfThicknessMeters) / meat.frozenWattPerMeterKelvin;
  const meatHours =
    ((of.halfThicknessMeters / (SHAPE_FACTOR[of.shape] * of.airWattPerSquareMeterKelvin)) *
      perArea *
      (1 + biot / 2)) /
    3600;
  const heatJoules = of.loadKilograms * (toCool + toFreeze);
  const freezerHours = heatJoules / of.spareWatts / 3600;
  return {
    possible: true,
    hours: Math.max(meatHours, freezerHours),
    meatHours,
    freezerHours,
    limitedBy: freezerHours > meatHours ? "freezer" : "meat",
    heatJoules,
    meanFreezingCelsius,
  };
}

/**
 * Heat of a kilogram, J: down to its freezing point, and from there until it is hard. A load that starts between the two counts
 * as not yet frozen: nobody can tell how much of it is ice, and too long is the safe side.
 */
function heatOf({ meat, startCelsius }: FreezeInput, meanFreezingCelsius: number) {
  const { centerEndCelsius } = meat;
  if (startCelsius <= centerEndCelsius) return { toCool: 0, toFreeze: 0 };
  return {
    toCool: meat.unfrozenJoulePerKilogramKelvin * Math.max(0, startCelsius - meanFreezingCelsius),
    toFreeze:
      meat.latentJoulePerKilogram +
      meat.frozenJoulePerKilogramKelvin * (meanFreezingCelsius - centerEndCelsius),
  };
}
