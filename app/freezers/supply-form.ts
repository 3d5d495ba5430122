import { z } from "zod";
import { choice, localDay, money, optional, weight, wholeNumber, words } from "#app/ui/read-field.ts";
import { CARCASS_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import { SUPPLY_KINDS } from "#core/packing/supply-stock.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const MOST = 1_000_000;

/** Something that the farm keeps in stock. */
export function supplyForm(unitSystem: UnitSystem) {
  return z
    .object({
      kind: choice(SUPPLY_KINDS, "Choose the type"),
      name: words(80, "Enter a name, such as bags, large"),
      most: optional(
        weight({ unitSystem, ask: "", range: CARCASS_RANGE_KILOGRAMS, what: "a dressed chicken" }),
      ),
      packAmount: wholeNumber({ least: 1, most: MOST, ask: "Enter the quantity per pack" }),
      packPrice: money("Enter the price per pack; 0 if free", 1_000_000),
      inStock: optional(wholeNumber({ most: MOST, ask: "" })),
    })
    .transform(({ most, packPrice, ...rest }, context) => {
      if (rest.kind === "bag" && most === null)
        context.addIssue({ code: "custom", path: ["most"], message: "Enter the largest bird it fits" });
      return { ...rest, mostMilligrams: rest.kind === "bag" ? most : null, packCents: packPrice };
    });
}

export const supplyMoveForm = z.object({
  kind: choice(["bought", "counted"], "Choose bought or counted"),
  amount: wholeNumber({ most: MOST, ask: "Enter the quantity" }),
  movedOn: localDay({ ask: "Enter the date" }),
});
