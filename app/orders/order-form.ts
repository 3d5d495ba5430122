import { z } from "zod";
import { choice, field, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { ORDER_RHYTHMS } from "#core/orders/order-dates.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const MOST_ID = 1_000_000_000;
/** Packs of one product that one order may ask for. */
const MOST_PACKS = 10_000;
/** Lightest and heaviest pack that an order can ask for, kg: a bag of hearts to a case. */
const PACK_RANGE = [0.05, 20] as const;

/** How many packs; `undefined` is every one there is. */
const howMany = field<number | undefined>((text) => {
  if (text === "") return { problem: "Enter how many packs, or all" };
  if (/^(all|every one|every)$/i.test(text)) return { value: undefined };
  if (!/^\d{1,6}$/.test(text)) return { problem: "Enter a whole number, such as 12, or all" };
  const value = Number(text);
  if (value < 1) return { problem: "Enter at least 1" };
  return value > MOST_PACKS ? { problem: "That is more than anyone could pack: at most 10,000" } : { value };
});

const lineFields = (unitSystem: UnitSystem) => {
  const size = optional(
    weight({ unitSystem, ask: "Enter a weight, or leave it empty", range: PACK_RANGE, what: "a pack" }),
  );
  return {
    productId: wholeNumber({ least: 1, most: MOST_ID, ask: "Choose a product" }),
    packs: howMany,
    least: size,
    most: size,
  };
};

const SIZES_SWAPPED = { message: "The largest is smaller than the smallest. Swap them", path: ["most"] };
const areInOrder = ({ least, most }: { least?: number | undefined; most?: number | undefined }) =>
  least === undefined || most === undefined || least <= most;

export const orderLineForm = (unitSystem: UnitSystem) =>
  z.object(lineFields(unitSystem)).refine(areInOrder, SIZES_SWAPPED);

export const orderForm = (unitSystem: UnitSystem) =>
  z
    .object({
      customerId: wholeNumber({ least: 1, most: MOST_ID, ask: "Choose who it is for, or add them first" }),
      ...lineFields(unitSystem),
      firstOn: localDay({ ask: "Enter the day it is wanted" }),
      rhythm: choice(ORDER_RHYTHMS, "Choose how often"),
      until: optional(localDay({ ask: "" })),
      note: optional(words(300, "")),
    })
    .refine(areInOrder, SIZES_SWAPPED)
    .refine(({ firstOn, until }) => until === undefined || until >= firstOn, {
      message: "The last day is before the first. Check the dates",
      path: ["until"],
    });
