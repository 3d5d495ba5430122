import { BATH, BIRD_IN_BATH } from "#core/scald/bath-constants.ts";

/** Heat lost by a bath, W/K: surface and walls, each its own coefficient (W/m²K) times its area (m²). */
export function bathLoss(
  surface: { coefficient: number; area: number },
  wall: { coefficient: number; area: number },
): number {
  return surface.coefficient * surface.area + wall.coefficient * wall.area;
}

export interface Bath {
  readonly waterKilograms: number;
  readonly vesselJoulePerKelvin: number;
  readonly powerWatts: number;
  /** Share of the power that reaches the water, 0 to 1. */
  readonly efficiency: number;
  readonly lossWattPerKelvin: number;
  readonly ambientCelsius: number;
}

export interface HeatUp {
  readonly heatCapacityJoulePerKelvin: number;
  /** Where the bath would settle at last; above 100 °C only arithmetic. Infinite without loss. */
  readonly ceilingCelsius: number;
  /** Undefined where the bath never gets there, or would have to boil. */
  readonly seconds: number | undefined;
  readonly energyKilowattHours: number | undefined;
  /** If it all came from propane. */
  readonly propaneKilograms: number | undefined;
}

export const JOULES_PER_KILOWATT_HOUR = 3.6e6;

/**
 * Time and energy to bring a bath from its filling temperature to its setting:
 * t = (C / UA) ln((Tinf - T0) / (Tinf - Tset)). See docs/sources.md#bath.
 */
export function bathHeatUp(bath: Bath, fillCelsius: number, setCelsius: number): HeatUp {
  const heat = bath.efficiency * bath.powerWatts;
  const capacity = bath.waterKilograms * BATH.waterJoulePerKilogramKelvin + bath.vesselJoulePerKelvin;
  const ceilingCelsius =
    bath.lossWattPerKelvin > 0
      ? bath.ambientCelsius + heat / bath.lossWattPerKelvin
      : heat > 0
        ? Infinity
        : fillCelsius;
  const seconds = secondsToHeat();
  const joules = seconds === undefined ? undefined : bath.powerWatts * seconds;
  return {
    heatCapacityJoulePerKelvin: capacity,
    ceilingCelsius,
    seconds,
    energyKilowattHours: joules === undefined ? undefined : joules / JOULES_PER_KILOWATT_HOUR,
    propaneKilograms: joules === undefined ? undefined : joules / BATH.propaneJoulePerKilogram,
  };

  function secondsToHeat(): number | undefined {
    if (setCelsius >= 100 || ceilingCelsius <= setCelsius) return undefined;
    if (fillCelsius >= setCelsius) return 0;
    if (bath.lossWattPerKelvin === 0) return (capacity * (setCelsius - fillCelsius)) / heat;
    return (
      (capacity / bath.lossWattPerKelvin) *
      Math.log((ceilingCelsius - fillCelsius) / (ceilingCelsius - setCelsius))
    );
  }
}

export interface BirdDraw {
  readonly heatedFraction: number;
  readonly joulePerKilogramKelvin: number;
  readonly startCelsius: number;
  readonly carryOutKilogramPerKilogramLive: number;
}

export interface ThroughputInput {
  readonly bath: Omit<Bath, "waterKilograms" | "vesselJoulePerKelvin">;
  readonly setCelsius: number;
  readonly liveKilograms: number;
  readonly tapCelsius: number;
  /** Whether the water carried out is made up from the tap. */
  readonly isToppedUp: boolean;
  readonly draw?: BirdDraw;
}

/** How many birds an hour a bath can hold its setting for. See docs/sources.md#bath. */
export function bathThroughput({
  bath,
  setCelsius,
  liveKilograms,
  tapCelsius,
  isToppedUp,
  draw = BIRD_IN_BATH,
}: ThroughputInput) {
  const netWatts =
    bath.efficiency * bath.powerWatts - bath.lossWattPerKelvin * (setCelsius - bath.ambientCelsius);
  const intoBird = draw.heatedFraction * draw.joulePerKilogramKelvin * (setCelsius - draw.startCelsius);
  const intoMakeUp = isToppedUp
    ? draw.carryOutKilogramPerKilogramLive * BATH.waterJoulePerKilogramKelvin * (setCelsius - tapCelsius)
    : 0;
  const joulePerBird = liveKilograms * (intoBird + intoMakeUp);
  return { netWatts, joulePerBird, birdsPerHour: (3600 * Math.max(0, netWatts)) / joulePerBird };
}
