import type { FreezerAtWork, LoadFrozen, PackToFreeze } from "#core/freezing/freeze-load.ts";
import { input, type Reckoning, reckoning } from "#core/reckoning/reckoning.ts";
import type { Setting } from "#core/reckoning/setting.ts";
import { inputSetting } from "#core/reckoning/setting.ts";

const JOULES_PER_KILOWATT_HOUR = 3_600_000;

/** What of a freezer the farm has said, and what is our estimate. */
export interface FreezerSaid {
  readonly airCelsius: Setting;
  readonly spareWatts: Setting;
}

/** Hours of a load with their working: by the thickest pack, or by the freezer's power; undefined where it never gets hard. */
export function freezeHours(
  packs: readonly PackToFreeze[],
  load: LoadFrozen,
  { airCelsius, spareWatts }: FreezerSaid,
  startCelsius: number,
): Reckoning | undefined {
  if (!load.possible) return undefined;
  const common = [
    input("weight-of-the-load", load.kilograms, "kg", "measured"),
    input("packs-start-at", startCelsius, "°C", "our-estimate"),
    inputSetting("air-in-the-freezer", airCelsius, "°C"),
  ];
  if (load.limitedBy === "freezer")
    return reckoning({
      value: load.hours,
      unit: "hours",
      inputs: [
        ...common,
        input("heat-to-remove", load.heatJoules / JOULES_PER_KILOWATT_HOUR, "kilowatt-hours", "calculated"),
        input(
          "heat-left-from-earlier-loads",
          (load.freezerHours * 3600 * spareWatts.value - load.heatJoules) / JOULES_PER_KILOWATT_HOUR,
          "kilowatt-hours",
          "calculated",
        ),
        inputSetting("spare-power-of-the-freezer", spareWatts, "watts"),
      ],
      rule: "frozen-by-the-freezer",
      source: "freezing",
    });
  const thickest = Math.max(...packs.map(({ halfThicknessMeters }) => halfThicknessMeters));
  return reckoning({
    value: load.hours,
    unit: "hours",
    inputs: [
      ...common,
      input("thickness-of-the-thickest-pack", thickest * 2 * 1000, "millimeters", "our-estimate"),
    ],
    rule: "frozen-by-the-meat",
    source: "freezing",
  });
}

/** A freezer as its sums have it, out of what was said and what we estimate. */
export const atWork = (said: FreezerSaid, air: FreezerAtWork["air"]): FreezerAtWork => ({
  airCelsius: said.airCelsius.value,
  spareWatts: said.spareWatts.value,
  air,
});
