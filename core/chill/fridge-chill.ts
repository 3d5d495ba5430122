import { CHILL } from "#core/chill/chill-constants.ts";
import { chillTime } from "#core/chill/chill-time.ts";

export interface FridgeInput {
  readonly birds: number;
  readonly carcassKilograms: number;
  /** Heat taken from the skin by still air, W/m²K, see REFRIGERATOR. */
  readonly surfaceCoefficient: number;
  readonly startCelsius: number;
  readonly fridgeCelsius: number;
  readonly targetCelsius: number;
  /** What the fridge can move beyond its own losses. */
  readonly spareWatts: number;
  readonly halfThicknessMeters?: number;
}

/**
 * Hours until birds in a fridge reach a target: as long as heat takes out of the meat, or as the fridge takes to
 * move it, whichever is longer. Wet skin loses more by drying, so this errs on the long side. See docs/sources.md#chill.
 *
 * @throws {RangeError} if the fridge has no watts to spare
 */
export function fridgeChill(fridge: FridgeInput) {
  if (!(fridge.spareWatts > 0))
    throw new RangeError(`a fridge must have watts to spare, got ${fridge.spareWatts}`);
  const { finish } = chillTime({ ...fridge, mediumCelsius: fridge.fridgeCelsius });
  if (!finish) return undefined;
  const conductionHours = finish.seconds / 3600;
  const joules =
    fridge.birds *
    fridge.carcassKilograms *
    CHILL.joulePerKilogramKelvin *
    (fridge.startCelsius - fridge.targetCelsius);
  const capacityHours = joules / fridge.spareWatts / 3600;
  return {
    conductionHours,
    capacityHours,
    hours: Math.max(conductionHours, capacityHours),
    limitedBy: capacityHours > conductionHours ? ("fridge" as const) : ("meat" as const),
  };
}
