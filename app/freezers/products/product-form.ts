import { z } from "zod";
import { choice, money, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { PRICE_UNITS } from "#core/label/pack-price.ts";

/** Most that one pound, pack or quart may cost, cents. */
const MOST_CENTS = 1_000_000;

/** What the farm says of a product; what is left empty stays as usual for its kind. */
export const productForm = (isOwn: boolean) =>
  z
    .object({
      /** The state of it that the person saw. */
      revision: optional(wholeNumber({ most: 1_000_000_000, ask: "" })),
      name: isOwn ? words(60, "Enter a name, such as marinated wings") : optional(words(60, "")),
      piecesPerPack: optional(
        wholeNumber({ least: 1, most: 500, ask: "Enter how many pieces go into a pack, or leave it empty" }),
      ),
      priceCents: optional(money("Enter a price, or leave it empty", MOST_CENTS)),
      priceUnit: choice(PRICE_UNITS, "Choose what the price is for"),
      labelWords: optional(words(300, "")),
      keepsMonths: optional(
        wholeNumber({ least: 1, most: 60, ask: "Enter how many months it keeps, or leave it empty" }),
      ),
    })
    .transform(({ name, labelWords, ...rest }) => ({
      ...rest,
      name: name ?? "",
      labelWords: labelWords ?? "",
    }));
