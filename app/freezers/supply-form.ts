import { z } from "zod";
import { choice, money, optional, words } from "#app/ui/read/read-field.ts";
import { supplyQuantity, weight } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { quantityOf } from "#app/words/supply-words.ts";
import { CARCASS_RANGE_KILOGRAMS } from "#core/packing/carcass-range.ts";
import { SUPPLY_KINDS, type SupplyKind } from "#core/packing/supply-stock.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const MOST = 1_000_000;
const MAX_TYPED = 60;

/** Something that the farm keeps in stock. Its amounts are read by its kind: pieces, weight or volume. */
export function supplyForm(unitSystem: UnitSystem) {
  const typed = z.string().max(MAX_TYPED, `That is too long: at most ${MAX_TYPED} characters`).default("");
  return z
    .object({
      kind: choice(SUPPLY_KINDS, "Choose the type"),
      name: words(80, "Enter a name, such as bags, large"),
      most: optional(
        weight({ unitSystem, ask: "", range: CARCASS_RANGE_KILOGRAMS, what: "a dressed chicken" }),
      ),
      packAmount: typed,
      packPrice: money("Enter the price per pack; 0 if free", 1_000_000),
      inStock: typed,
    })
    .transform(({ most, packPrice, packAmount, inStock, ...rest }, context) => {
      if (rest.kind === "bag" && most === undefined)
        context.addIssue({ code: "custom", path: ["most"], message: "Enter the largest bird it fits" });
      const counted = quantityOf(rest.kind);
      const read = (
        path: string,
        reader: z.ZodType<number | undefined, string | undefined>,
        text: string,
      ) => {
        const answer = reader.safeParse(text);
        if (answer.success) return answer.data;
        for (const { message } of answer.error.issues)
          context.addIssue({ code: "custom", path: [path], message });
        return undefined;
      };
      const quantity = { unitSystem, most: MOST };
      const pack = supplyQuantity(counted, { ...quantity, least: 1, ask: "Enter the quantity per pack" });
      const stock = optional(supplyQuantity(counted, { ...quantity, ask: "" }));
      return {
        ...rest,
        packAmount: read("packAmount", pack, packAmount) ?? 0,
        inStock: read("inStock", stock, inStock),
        mostMilligrams: rest.kind === "bag" ? most : undefined,
        packCents: packPrice,
      };
    });
}

export const supplyMoveForm = (kind: SupplyKind, unitSystem: UnitSystem) =>
  z.object({
    kind: choice(["bought", "counted"], "Choose bought or counted"),
    amount: supplyQuantity(quantityOf(kind), { unitSystem, most: MOST, ask: "Enter the quantity" }),
    movedOn: localDay({ ask: "Enter the date" }),
  });
