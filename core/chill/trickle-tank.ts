import { CHILL, ICE } from "#core/chill/chill-constants.ts";
import { chillTime } from "#core/chill/chill-time.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import { inputSetting, type Setting } from "#core/reckoning/setting.ts";

const WATER_JOULE_PER_KILOGRAM_KELVIN = 4186;
const SECONDS_PER_HOUR = 3600;

export interface TrickleTank {
  readonly litersPerMinute: number;
  readonly tapCelsius: Setting;
  readonly ambientCelsius: Setting;
  readonly lossWattPerKelvin: number;
  readonly birds: number;
  readonly carcassKilograms: number;
  /** Hours in which the birds are to be cold: their heat comes out over them. */
  readonly hours: number;
  readonly surfaceCoefficient: number;
}

export interface TrickleChill {
  /** What the tank settles at, °C. */
  readonly tank: Reckoning;
  readonly liters: number;
  /** Hours to 40 °F in the deepest part; undefined where the water never gets a bird there. */
  readonly chillHours: number | undefined;
}

/**
 * A tank that a trickle of well water cools instead of ice: T = (flow c tap + UA air + heat of the birds) / (flow c + UA), and the chill
 * sums in that water. See docs/sources.md#trickle.
 *
 * @throws {RangeError} if flow or hours are not more than 0
 */
export function trickleTank(of: TrickleTank): TrickleChill {
  if (!(of.litersPerMinute > 0)) throw new RangeError(`flow must be more than 0, got ${of.litersPerMinute}`);
  if (!(of.hours > 0)) throw new RangeError(`hours must be more than 0, got ${of.hours}`);
  const flow = (of.litersPerMinute / 60) * WATER_JOULE_PER_KILOGRAM_KELVIN;
  const birdWatts =
    (of.birds *
      of.carcassKilograms *
      ICE.carcassJoulePerKilogramKelvin *
      (ICE.carcassStartCelsius - ICE.carcassEndCelsius)) /
    (of.hours * SECONDS_PER_HOUR);
  const tankCelsius =
    (flow * of.tapCelsius.value + of.lossWattPerKelvin * of.ambientCelsius.value + birdWatts) /
    (flow + of.lossWattPerKelvin);
  const { finish } = chillTime({
    carcassKilograms: of.carcassKilograms,
    surfaceCoefficient: of.surfaceCoefficient,
    startCelsius: ICE.carcassStartCelsius,
    mediumCelsius: tankCelsius,
    targetCelsius: CHILL.targetCelsius,
  });
  return {
    tank: reckoning({
      value: tankCelsius,
      unit: "°C",
      inputs: [
        input("water-a-minute", of.litersPerMinute, "liters-per-minute", "farm-setting"),
        inputSetting("tap-water", of.tapCelsius, "°C"),
        inputSetting("air-temperature", of.ambientCelsius, "°C"),
        input("heat-through-the-wall", of.lossWattPerKelvin, "watts-per-degree", "our-estimate"),
        input("birds", of.birds, "birds", "farm-setting"),
        input("dressed-weight-per-bird", of.carcassKilograms, "carcass-kg", "calculated"),
        input("hours-tanks-stay-cold", of.hours, "hours", "our-estimate"),
      ],
      rule: "trickle-tank",
      source: "trickle",
    }),
    liters: of.litersPerMinute * 60 * of.hours,
    chillHours: finish && finish.seconds / SECONDS_PER_HOUR,
  };
}
