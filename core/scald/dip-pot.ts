import { bathHeatUp, bathLoss } from "#core/scald/bath.ts";
import { BATH } from "#core/scald/bath-constants.ts";
import { bathOfVolume } from "#core/scald/bath-shape.ts";

/** 180 and 200 °F: bags shrink in it, and skin scalds. See docs/sources.md#packs. */
export const DIP_CELSIUS = [82, 93] as const;

/**
 * Minutes until a covered pot is hot enough to shrink bags in, in the middle of the range; undefined where the heat never
 * gets it there. See docs/sources.md#bath.
 *
 * @param pot its water, and the watts of its element or its burner
 * @throws {RangeError} if the volume is not more than 0
 */
export function dipHeatUp(pot: {
  readonly liters: number;
  readonly watts: number;
  readonly isBurner: boolean;
  readonly fillCelsius: number;
  readonly ambientCelsius: number;
}): number | undefined {
  const { surfaceSquareMeters, wallSquareMeters, vesselJoulePerKelvin } = bathOfVolume(pot.liters);
  const { seconds } = bathHeatUp(
    {
      waterKilograms: pot.liters,
      vesselJoulePerKelvin,
      powerWatts: pot.watts,
      efficiency: pot.isBurner ? BATH.burnerEfficiency : BATH.elementEfficiency,
      lossWattPerKelvin: bathLoss(
        { coefficient: BATH.surfaceLiddedWattPerSquareMeterKelvin, area: surfaceSquareMeters },
        { coefficient: BATH.wallBareWattPerSquareMeterKelvin, area: wallSquareMeters },
      ),
      ambientCelsius: pot.ambientCelsius,
    },
    pot.fillCelsius,
    DIP_AIM_CELSIUS,
  );
  return seconds === undefined ? undefined : seconds / 60;
}

/** 190 °F, the middle of the range. */
const DIP_AIM_CELSIUS = 88;

/** What a reading of the dip water means. */
export const dipVerdict = (celsius: number): "too-cold" | "right" | "too-hot" =>
  celsius < DIP_CELSIUS[0] ? "too-cold" : celsius > DIP_CELSIUS[1] ? "too-hot" : "right";
