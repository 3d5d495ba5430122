import { type Bath, bathHeatUp } from "#core/scald/bath.ts";
import { WATER_SWAP } from "#core/scald/bath-constants.ts";

/** How a bath gets from one setting to another, and how long it takes. */
export interface BathSetting {
  readonly how: "heated" | "cold-water-in";
  readonly seconds: number;
  /** Hot water drawn off and made up from the tap; 0 where it is heated. */
  readonly swappedLiters: number;
}

/**
 * The time to bring a bath to another setting: heated as it stands, or cooled by drawing off hot water and making it up
 * from the tap, which is far quicker than letting it stand. See docs/sources.md#bath.
 *
 * @returns undefined where the heat never gets it there, or the tap is no colder than it is to be
 */
export function bathSetting({
  bath,
  fromCelsius,
  toCelsius,
  tapCelsius,
}: {
  readonly bath: Bath;
  readonly fromCelsius: number;
  readonly toCelsius: number;
  readonly tapCelsius: number;
}): BathSetting | undefined {
  if (toCelsius >= fromCelsius) {
    const { seconds } = bathHeatUp(bath, fromCelsius, toCelsius);
    return seconds === undefined ? undefined : { how: "heated", seconds, swappedLiters: 0 };
  }
  if (tapCelsius >= toCelsius) return undefined;
  const swappedLiters = (bath.waterKilograms * (fromCelsius - toCelsius)) / (fromCelsius - tapCelsius);
  return {
    how: "cold-water-in",
    seconds: WATER_SWAP.settleSeconds + (swappedLiters / WATER_SWAP.litersPerMinute) * 60,
    swappedLiters,
  };
}
