import { bathLoss } from "#core/scald/bath.ts";
import { BATH, BIRD_IN_BATH } from "#core/scald/bath-constants.ts";
import { bathOfVolume } from "#core/scald/bath-shape.ts";
import type { SimulatedDevice } from "#devices/attached/simulated-device.ts";

export interface SimulatedBathOptions {
  readonly liters: number;
  readonly watts: number;
  readonly setCelsius: number;
  /** Live, each, kilograms. */
  readonly birdKilograms: number;
  /** Uniform draws, 0 to 1. */
  readonly uniform: () => number;
}

const AIR_CELSIUS = 15;
/** The thermostat switches this far below and above its setting, °C. */
const HYSTERESIS = { below: 0.4, above: 0.2 } as const;
/** In so many seconds a bird takes up 63 % of its heat, and the probe 63 % of a change. Our choice. */
const BIRD_SECONDS = 20;
const PROBE_SECONDS = 3;
const FLICKER_CELSIUS = 0.04;
const MOST_BIRDS = 8;

/** A scald bath with a probe in it, after the bath's own constants: birds that are dunked let it sag, its heat brings it back. */
export function simulatedBath({
  liters,
  watts,
  setCelsius,
  birdKilograms,
  uniform,
}: SimulatedBathOptions): SimulatedDevice {
  const { surfaceSquareMeters, wallSquareMeters, vesselJoulePerKelvin } = bathOfVolume(liters);
  const loss = bathLoss(
    { coefficient: BATH.surfaceOpenWattPerSquareMeterKelvin, area: surfaceSquareMeters },
    { coefficient: BATH.wallBareWattPerSquareMeterKelvin, area: wallSquareMeters },
  );
  const capacity = liters * BATH.waterJoulePerKilogramKelvin + vesselJoulePerKelvin;
  const birdCapacity = birdKilograms * BIRD_IN_BATH.heatedFraction * BIRD_IN_BATH.joulePerKilogramKelvin;
  let setting = setCelsius;
  let water = setCelsius;
  let probe = setCelsius;
  let isHeating = false;
  let birds = 0;
  let birdCelsius = 0;
  return {
    device: "bath-probe",
    pass(seconds) {
      if (water < setting - HYSTERESIS.below) isHeating = true;
      if (water > setting + HYSTERESIS.above) isHeating = false;
      const intoBirds = (birds * birdCapacity * (water - birdCelsius) * seconds) / BIRD_SECONDS;
      if (birds > 0) birdCelsius += intoBirds / (birds * birdCapacity);
      const heat = (isHeating ? watts : 0) * seconds - loss * (water - AIR_CELSIUS) * seconds;
      water += (heat - intoBirds) / capacity;
      probe += (water - probe) * Math.min(1, seconds / PROBE_SECONDS);
    },
    reading: () => ({
      valueThousandths: Math.round((probe + FLICKER_CELSIUS * (uniform() - 0.5)) * 1000),
      isSteady: birds === 0,
    }),
    obey(line) {
      const [word, amount] = line.split(" ");
      const number = Number(amount);
      if (word === "dunk") {
        birds = Math.max(1, Math.min(MOST_BIRDS, Math.round(number) || 1));
        birdCelsius = BIRD_IN_BATH.startCelsius;
      } else if (word === "lift") birds = 0;
      else if (word === "set" && number >= 0 && number <= 90) setting = number;
      else if (word === "cold-water") water += (AIR_CELSIUS - water) * 0.1;
    },
  };
}
