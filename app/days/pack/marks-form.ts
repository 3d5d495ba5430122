import { z } from "zod";
import { amount, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** An inch is 25.4 mm exactly. */
const MILLIMETERS_PER_INCH = 25.4;
/** Frames and keels of chickens measure between so many millimeters. */
const RANGE = [20, 300] as const;

/** A length in inches or centimeters, as whole millimeters. */
function length(unitSystem: UnitSystem) {
  const perUnit = unitSystem === "us" ? MILLIMETERS_PER_INCH : 10;
  return optional(
    amount({ most: 100, ask: "" }).transform((value, context) => {
      const millimeters = Math.round(value * perUnit);
      if (millimeters >= RANGE[0] && millimeters <= RANGE[1]) return millimeters;
      const [least, most] = RANGE.map((edge) => (edge / perUnit).toFixed(1));
      context.addIssue({ code: "custom", message: `Enter a number between ${least} and ${most}` });
      return z.NEVER;
    }),
  );
}

export const marksForm = (unitSystem: UnitSystem) =>
  z.object({
    birdNumber: wholeNumber({ least: 1, most: 100_000, ask: "Enter the bird's number" }),
    frame: length(unitSystem),
    keel: length(unitSystem),
    fleshing: optional(wholeNumber({ least: 1, most: 5, ask: "" })),
    legs: optional(words(60, "")),
    note: optional(words(200, "")),
  });

/** A length as it is said. */
export const lengthWords = (millimeters: number, isUs: boolean): string =>
  isUs ? `${(millimeters / MILLIMETERS_PER_INCH).toFixed(1)} in` : `${(millimeters / 10).toFixed(1)} cm`;
