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
      kind: choice(SUPPLY_KINDS, "Choose what it is"),
      name: words(80, "Give it a name, such as bags, large"),
      most: optional(
        weight({ unitSystem, ask: "", range: CARCASS_RANGE_KILOGRAMS, what: "a dressed chicken" }),
      ),
      packAmount: wholeNumber({ least: 1, most: MOST, ask: "Say how much is in a pack" }),
      packPrice: money("Say what a pack costs; 0 if nothing", 1_000_000),
      inStock: optional(wholeNumber({ most: MOST, ask: "" })),
    })
    .transform(({ most, packPrice, ...rest }, context) => {
      if (rest.kind === "bag" && most === null)
        context.addIssue({ code: "custom", path: ["most"], message: "Say how heavy a bird it takes" });
      return { ...rest, mostMilligrams: rest.kind === "bag" ? most : null, packCents: packPrice };
    });
}

export const supplyMoveForm = z.object({
  kind: choice(["bought", "counted"], "Say whether it was bought or counted"),
  amount: wholeNumber({ most: MOST, ask: "Say how much" }),
  movedOn: localDay({ ask: "Say on which day" }),
});
