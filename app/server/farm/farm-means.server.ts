import { USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import { OUR_PACE } from "#core/day/crew/own-pace.ts";
import type { FarmMeans } from "#core/day/plan/plan-input.ts";
import type { SupplySettings } from "#core/day/supplies/day-needs.ts";
import { kilogramsFromMilligrams, milligramsFromPounds } from "#core/quantity/conversion.ts";
import { type Setting, settingOr } from "#core/reckoning/setting.ts";
import type { Place } from "#core/sky/sun.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What stands where a farm has said nothing: our estimate of a small farm's kit. See docs/sources.md#farm. */
export const OURS = {
  airCelsius: 18,
  tapCelsius: 12,
  tankLiters: 230,
  bagKilograms: kilogramsFromMilligrams(milligramsFromPounds(20)),
  jugMilliliters: 3785,
  crateBirds: 8,
  hypochloriteFraction: 0.06,
  scalderLiters: 76,
  scalderWatts: { electric: 3000, propane: 16_000 },
  centsAnHour: 1500,
  birdsAYear: 100,
} as const;

/** Where the farm lies. */
export function placeOf(farm: Farm): Place {
  return { latitude: farm.latitudeMicrodegrees / 1e6, longitude: farm.longitudeMicrodegrees / 1e6 };
}

const thousandth = (value: number | undefined) => (value === undefined ? undefined : value / 1000);

/** The farm's kit, each number its own or ours; its pace is ours, until its own days speak (own-pace.server.ts). */
export function farmMeans(farm: Farm): FarmMeans {
  const tapCelsius = settingOr(thousandth(farm.tapMillicelsius), OURS.tapCelsius);
  const { circuitVolts, breakerAmps } = farm;
  return {
    scalder: {
      waterLiters: settingOr(thousandth(farm.scalderMilliliters), OURS.scalderLiters),
      powerWatts: settingOr(farm.scalderWatts, OURS.scalderWatts[farm.scalderHeat]),
      heat: farm.scalderHeat,
      isLidded: farm.isScalderLidded,
      isInsulated: farm.isScalderInsulated,
      fillCelsius:
        farm.scalderFillMillicelsius === undefined
          ? tapCelsius
          : settingOr(farm.scalderFillMillicelsius / 1000, 0),
      scaldAtOnce: farm.scaldAtOnceCount,
      circuit:
        circuitVolts === undefined || breakerAmps === undefined
          ? undefined
          : { volts: circuitVolts, breakerAmps },
    },
    pluckAtOnce: farm.pluckAtOnceCount,
    crateBirds: crateBirds(farm),
    // Until a day says otherwise.
    cutting: USUAL_CUTTING,
    practice: farm.practice,
    ownPace: OUR_PACE,
    ambientCelsius: settingOr(thousandth(farm.airMillicelsius), OURS.airCelsius),
    tapCelsius,
    tankLiters: settingOr(thousandth(farm.tankMilliliters), OURS.tankLiters),
    tankWall: farm.tankWall,
    chillMethod: farm.chillMethod,
    bagKilograms: settingOr(
      farm.iceBagMilligrams === undefined ? undefined : kilogramsFromMilligrams(farm.iceBagMilligrams),
      OURS.bagKilograms,
    ),
    ownIce: {
      jugKilograms: ((farm.jugCount ?? 0) * (farm.jugMilliliters ?? OURS.jugMilliliters)) / 1000,
      madeKilograms: kilogramsFromMilligrams(farm.madeIceMilligrams ?? 0),
    },
    arePensLit: farm.arePensLit,
  };
}

export const crateBirds = (farm: Farm): number => farm.crateBirdsCount ?? OURS.crateBirds;
/** What decides how much of some supplies a day uses. */
export const supplySettings = (farm: Farm): SupplySettings => ({
  heat: farm.scalderHeat,
  hypochloriteFraction: settingOr(
    farm.bleachBasisPoints === undefined ? undefined : farm.bleachBasisPoints / 10_000,
    OURS.hypochloriteFraction,
  ),
});
export const hourRate = (farm: Farm): Setting => settingOr(farm.hourRateCents, OURS.centsAnHour);
export const birdsAYear = (farm: Farm): Setting => settingOr(farm.birdsAYearCount, OURS.birdsAYear);
