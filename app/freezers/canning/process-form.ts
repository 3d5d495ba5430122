import { z } from "zod";
import { amount, field, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { altitude } from "#app/ui/read/read-measure.ts";
import type { CanningStep } from "#core/packing/canning.ts";
import { PASCALS_PER_PSI } from "#core/quantity/conversion.ts";
import { readVolume } from "#core/quantity/read-volume.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const JAR_MILLILITERS = [50, 5000] as const;
/** Steps of pressure that a process commonly has. */
export const STEPS = [1, 2, 3, 4] as const;

const jar = (unitSystem: UnitSystem) =>
  field((text) => {
    const milliliters = readVolume(text, unitSystem);
    return milliliters === undefined || milliliters < JAR_MILLILITERS[0] || milliliters > JAR_MILLILITERS[1]
      ? { problem: "Enter the size of the jars, such as 1 qt or 1 l" }
      : { value: milliliters };
  });

/** A tested process, copied from who tested it: each step in the farm's own units. */
export const processForm = (unitSystem: UnitSystem) => {
  const upTo = optional(altitude({ unitSystem, ask: "" }));
  const pressure = optional(amount({ most: unitSystem === "us" ? 40 : 300, ask: "" }));
  return z
    .object({
      name: words(60, "Enter what it is for, such as broth in quarts"),
      testedBy: words(120, "Enter who tested and published it"),
      publishedYear: wholeNumber({ least: 1900, most: 2200, ask: "Enter the year it was published" }),
      jar: jar(unitSystem),
      minutes: wholeNumber({ least: 1, most: 600, ask: "Enter the minutes at pressure" }),
      upTo1: upTo,
      pressure1: pressure,
      upTo2: upTo,
      pressure2: pressure,
      upTo3: upTo,
      pressure3: pressure,
      upTo4: upTo,
      pressure4: pressure,
    })
    .transform((typed, context) => {
      const steps: CanningStep[] = [];
      for (const step of STEPS) {
        const upToMeters = typed[`upTo${step}`];
        const asTyped = typed[`pressure${step}`];
        if ((upToMeters === undefined) !== (asTyped === undefined))
          context.addIssue({
            code: "custom",
            path: [upToMeters === undefined ? `upTo${step}` : `pressure${step}`],
            message: "Enter both the altitude and the pressure, or neither",
          });
        else if (upToMeters !== undefined && steps.some((one) => one.upToMeters === upToMeters))
          context.addIssue({
            code: "custom",
            path: [`upTo${step}`],
            message: "This altitude is there already",
          });
        else if (upToMeters !== undefined)
          steps.push({
            upToMeters,
            pascals: Math.round(asTyped! * (unitSystem === "us" ? PASCALS_PER_PSI : 1000)),
          });
      }
      if (steps.length === 0)
        context.addIssue({
          code: "custom",
          path: ["upTo1"],
          message: "Enter at least one altitude with its pressure, as the source has it",
        });
      const { name, testedBy, publishedYear, jar: jarMilliliters, minutes } = typed;
      return { name, testedBy, publishedYear, jarMilliliters, minutes, steps };
    });
};
