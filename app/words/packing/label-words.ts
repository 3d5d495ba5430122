import type { LabelPart } from "#core/label/label-parts.ts";

/** What a label usually has to say, as a checklist. */
export const LABEL_PART_WORDS: Readonly<Record<LabelPart, string>> = {
  product: "Product",
  farm: "Name and address of the farm",
  "net-weight": "Net weight",
  "unit-price": "Price per unit",
  "total-price": "Total price",
  "packed-on": "Packed-on date",
  lot: "Lot",
  storage: "Keep frozen or refrigerated",
  "safe-handling": "Safe handling",
  cook: "Cook to 165 °F",
  exemption: "Exemption wording",
  "added-solution": "Added solution, if brined",
  code: "The pack's code",
};

/** Where a missing part can be filled in. */
export const MISSING_WORDS: Readonly<Record<LabelPart, string>> = {
  product: "the product's name",
  farm: "the farm's name and address: under Labels",
  "net-weight": "the net weight: the pack was not weighed",
  "unit-price": "the price: set it under Products",
  "total-price": "the total price: set a price under Products",
  "packed-on": "the packed-on date",
  lot: "the lot",
  storage: "keep frozen or refrigerated: under Labels",
  "safe-handling": "safe handling: under Labels",
  cook: "the cooking temperature",
  exemption: "the exemption wording: under Labels",
  "added-solution": "the added solution",
  code: "the code",
};
