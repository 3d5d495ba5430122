import { z } from "zod";
import { choice, field, optional, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { BY_PRODUCT_KINDS } from "#core/packing/by-products.ts";
import { readVolume } from "#core/quantity/read-volume.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A pan of hearts, and a trailer of feathers, kg. */
const LOAD_RANGE_KILOGRAMS = [0.005, 5000] as const;
const MOST_MILLILITERS = 1_000_000;

const loadWeight = (unitSystem: UnitSystem, ask: string) =>
  weight({ unitSystem, ask, range: LOAD_RANGE_KILOGRAMS, what: "a load", isBulk: true });

/** A load that begins: what it is, and what it weighs. */
export const startLoadForm = (unitSystem: UnitSystem) =>
  z.object({
    kind: choice(BY_PRODUCT_KINDS, "Choose what is done with it"),
    inMilligrams: loadWeight(unitSystem, "Weigh it and enter its weight"),
    bowlMilligrams: optional(loadWeight(unitSystem, "Weigh the bowl empty, or leave this empty")),
    note: optional(words(200, "")),
  });

/** What came of a load. */
export const endLoadForm = (unitSystem: UnitSystem) =>
  z.object({
    outMilligrams: loadWeight(unitSystem, "Weigh what came of it and enter its weight"),
    bowlMilligrams: optional(loadWeight(unitSystem, "Weigh the bowl empty, or leave this empty")),
    milliliters: optional(
      field((text) => {
        const read = readVolume(text, unitSystem);
        if (read === undefined) return { problem: "Enter the broth, such as 2 qt, 1 gal, or 1.5 l" };
        return read > MOST_MILLILITERS
          ? { problem: "That is too much. Check the number and the unit" }
          : { value: read };
      }),
    ),
  });
