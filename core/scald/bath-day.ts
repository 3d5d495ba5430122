import {
  type Bath,
  type BirdDraw,
  bathHeatUp,
  bathThroughput,
  JOULES_PER_KILOWATT_HOUR,
} from "#core/scald/bath.ts";
import { BATH, BIRD_IN_BATH } from "#core/scald/bath-constants.ts";

export interface DunkInput {
  readonly bath: Bath;
  /** The bath before the birds go in, and what it is to come back to. */
  readonly bathCelsius: number;
  readonly setCelsius: number;
  readonly birds: number;
  readonly liveKilograms: number;
  readonly tapCelsius: number;
  readonly isToppedUp: boolean;
  readonly draw?: BirdDraw;
}

export interface Dunk {
  readonly afterBirdsCelsius: number;
  /** After the water carried out was made up from the tap; the same where it was not. */
  readonly afterDunkCelsius: number;
  readonly sagKelvin: number;
  readonly waterOutKilograms: number;
  /** Until the bath is at its setting again; undefined where the heat never gets it there. */
  readonly recoverySeconds: number | undefined;
}

/** What one load of birds does to the bath. See docs/sources.md#bath. */
export function bathDunk(dunk: DunkInput): Dunk {
  const draw = dunk.draw ?? BIRD_IN_BATH;
  const water = BATH.waterJoulePerKilogramKelvin;
  const capacity = dunk.bath.waterKilograms * water + dunk.bath.vesselJoulePerKelvin;
  const live = dunk.birds * dunk.liveKilograms;
  const birds = live * draw.heatedFraction * draw.joulePerKilogramKelvin;
  const afterBirdsCelsius = (capacity * dunk.bathCelsius + birds * draw.startCelsius) / (capacity + birds);
  const waterOutKilograms = live * draw.carryOutKilogramPerKilogramLive;
  const out = waterOutKilograms * water;
  const afterDunkCelsius = dunk.isToppedUp
    ? ((capacity - out) * afterBirdsCelsius + out * dunk.tapCelsius) / capacity
    : afterBirdsCelsius;
  const left = dunk.isToppedUp
    ? dunk.bath
    : { ...dunk.bath, waterKilograms: dunk.bath.waterKilograms - waterOutKilograms };
  return {
    afterBirdsCelsius,
    afterDunkCelsius,
    sagKelvin: dunk.bathCelsius - afterDunkCelsius,
    waterOutKilograms,
    recoverySeconds: bathHeatUp(left, afterDunkCelsius, dunk.setCelsius).seconds,
  };
}

export interface BathDayInput {
  readonly bath: Omit<Bath, "lossWattPerKelvin">;
  /** Loss while it heats up, lid on where there is one, and while birds go in, W/K. */
  readonly heatUpLossWattPerKelvin: number;
  readonly workingLossWattPerKelvin: number;
  readonly fillCelsius: number;
  readonly setCelsius: number;
  readonly tapCelsius: number;
  readonly birds: number;
  readonly liveKilograms: number;
  readonly workingHours: number;
  readonly isToppedUp: boolean;
  readonly draw?: BirdDraw;
}

export interface BathDay {
  /** Undefined, as the total, where the bath never gets hot. */
  readonly heatUpKilowattHours: number | undefined;
  readonly workingKilowattHours: number;
  readonly totalKilowattHours: number | undefined;
  /** Share of the working hours for which the heat is on; more than 1 cannot be done. */
  readonly duty: number;
  readonly keepsUp: boolean;
  /** If it all came from propane. */
  readonly propaneKilograms: number | undefined;
}

/** Energy that a bath takes for a day's birds, and whether its heat keeps up with them. See docs/sources.md#bath. */
export function bathDay(day: BathDayInput): BathDay {
  const heatUp = bathHeatUp(
    { ...day.bath, lossWattPerKelvin: day.heatUpLossWattPerKelvin },
    day.fillCelsius,
    day.setCelsius,
  );
  const { joulePerBird } = bathThroughput({ ...day, bath: { ...day.bath, lossWattPerKelvin: 0 } });
  const seconds = day.workingHours * 3600;
  const lost = day.workingLossWattPerKelvin * (day.setCelsius - day.bath.ambientCelsius) * seconds;
  const working = (lost + day.birds * joulePerBird) / day.bath.efficiency;
  const duty = working / (day.bath.powerWatts * seconds);
  const workingKilowattHours = working / JOULES_PER_KILOWATT_HOUR;
  const total =
    heatUp.energyKilowattHours === undefined ? undefined : heatUp.energyKilowattHours + workingKilowattHours;
  return {
    heatUpKilowattHours: heatUp.energyKilowattHours,
    workingKilowattHours,
    totalKilowattHours: total,
    duty,
    keepsUp: duty <= 1,
    propaneKilograms:
      total === undefined ? undefined : (total * JOULES_PER_KILOWATT_HOUR) / BATH.propaneJoulePerKilogram,
  };
}
