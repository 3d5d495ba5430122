import { z } from "zod";
import { amount, choice, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { temperature, volume } from "#app/ui/read/read-measure.ts";
import { wattsFromPlate } from "#core/freezing/freezing-constants.ts";
import { spacesOfVolume } from "#core/freezing/places.ts";
import { MILLIGRAMS_PER_KILOGRAM, MILLIGRAMS_PER_POUND } from "#core/quantity/conversion.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const KILOGRAMS_PER_POUND = MILLIGRAMS_PER_POUND / MILLIGRAMS_PER_KILOGRAM;
const SQUARE_CENTIMETERS_PER_SQUARE_FOOT = 929.0304;

/** A refrigerator or freezer; what is left empty is estimated. */
export const placeForm = (unitSystem: UnitSystem) =>
  z
    .object({
      revision: optional(wholeNumber({ most: 1_000_000_000, ask: "" })),
      name: words(80, "Enter a name, such as barn chest"),
      kind: choice(["fridge", "freezer", "either"], "Choose the type"),
      capacityCount: optional(wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds it holds" })),
      airMillicelsius: optional(
        temperature({ unitSystem, least: -60, most: 15, ask: "Enter the temperature, or leave it empty" }),
      ),
      spareWatts: optional(wholeNumber({ most: 20_000, ask: "Enter its watts, or leave it empty" })),
      platePerDay: optional(amount({ most: 2000, ask: "Enter what the plate says, or leave it empty" })),
      volumeMilliliters: optional(
        volume({ unitSystem, least: 1, most: 100_000, ask: "Enter its volume, or leave it empty" }),
      ),
      shelfArea: optional(amount({ most: 2000, ask: "Enter the area of its shelves, or leave it empty" })),
      hasFan: tick,
    })
    .refine(
      ({ capacityCount, volumeMilliliters }) =>
        capacityCount !== undefined || volumeMilliliters !== undefined,
      { path: ["capacityCount"], message: "Enter how many birds it holds, or its volume below" },
    )
    .transform(({ kind, shelfArea, platePerDay, spareWatts, capacityCount, ...place }) => ({
      ...place,
      capacityCount: capacityCount ?? spacesOfVolume((place.volumeMilliliters ?? 0) / 1000),
      // The plate is what the maker measured, and stands before a guess at watts.
      spareWatts:
        platePerDay === undefined
          ? spareWatts
          : Math.round(wattsFromPlate(unitSystem === "us" ? platePerDay * KILOGRAMS_PER_POUND : platePerDay)),
      kind: kind === "freezer" ? ("freezer" as const) : ("fridge" as const),
      canFreeze: kind === "either",
      shelfSquareCentimeters:
        shelfArea === undefined
          ? undefined
          : Math.round(shelfArea * (unitSystem === "us" ? SQUARE_CENTIMETERS_PER_SQUARE_FOOT : 10_000)),
    }));

/** The area of shelves as it was typed: square feet, or square meters. */
export const areaTyped = (squareCentimeters: number | undefined, unitSystem: UnitSystem): string =>
  squareCentimeters === undefined
    ? ""
    : String(
        Math.round(
          (squareCentimeters * 100) / (unitSystem === "us" ? SQUARE_CENTIMETERS_PER_SQUARE_FOOT : 10_000),
        ) / 100,
      );
