import { z } from "zod";
import { choice, field, optional, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { readVolume } from "#core/quantity/read-volume.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

/** A heart, and a tote of backs, kg. */
const PACK_RANGE_KILOGRAMS = [0.005, 50] as const;
const MOST_MILLILITERS = 50_000;

const id = optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" }));

/** How much of a pack is read: by its weight on the scale, or by the volume of what was filled. */
const amountOf = (unitSystem: UnitSystem, isByVolume: boolean) =>
  isByVolume
    ? field((text) => {
        if (text === "") return { problem: "Enter how much is in it, such as 1 qt" };
        const milliliters = readVolume(text, unitSystem);
        if (milliliters === undefined || milliliters < 1)
          return { problem: "Enter a volume, such as 1 qt, 24 fl oz, or 900 ml" };
        return milliliters > MOST_MILLILITERS
          ? { problem: "That is too much for one pack. Check the number and the unit" }
          : { value: milliliters };
      })
    : weight({
        unitSystem,
        ask: "Put the pack on the scale and enter its weight",
        range: PACK_RANGE_KILOGRAMS,
        what: "a pack",
      });

/** One pack of parts, giblets or broth. */
export const partsForm = (unitSystem: UnitSystem, isByVolume: boolean) =>
  z
    .object({
      amount: z.string().trim().default(""),
      pieces: wholeNumber({ least: 0, most: 1000, ask: "Enter how many pieces are in it, or 0" }),
      containerId: id,
      lotId: id,
      purpose: choice(["sale", "own", "pets"], "Choose what the pack is for"),
      placeId: id,
      packedBy: id,
      isSure: tick,
      printsLabel: tick,
    })
    .transform(({ amount: asTyped, ...pack }, context) => {
      const read = amountOf(unitSystem, isByVolume).safeParse(asTyped);
      if (!read.success)
        context.addIssue({ code: "custom", path: ["amount"], message: read.error.issues[0]!.message });
      return { ...pack, amount: read.data ?? 0, isByVolume, asTyped: asTyped.slice(0, 40) };
    });

export type PartsEntered = z.output<ReturnType<typeof partsForm>>;
