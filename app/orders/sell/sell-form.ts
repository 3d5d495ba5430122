import { z } from "zod";
import { choice, field, money, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { PAYMENT_WAYS } from "#core/orders/payment-way.ts";

/** A carload; more at once is a slip. */
export const MOST_PACKS = 400;
const MOST_TEXT = 4000;
const MOST_ID = 1_000_000_000;

/** Ids of packs with commas between, each once. */
export function packIdsIn(text: string): number[] {
  return [...new Set(text.split(",").filter((one) => /^\d{1,9}$/.test(one)))]
    .map(Number)
    .slice(0, MOST_PACKS);
}

/** How a sale is paid: at once, or not yet. */
const PAID = [...PAYMENT_WAYS, "later"] as const;

export const sellForm = z
  .object({
    packs: field((text) => {
      const ids = packIdsIn(text);
      return ids.length === 0 ? { problem: "Choose the packs first" } : { value: ids };
    }, MOST_TEXT),
    total: money("Enter what they pay for all of it; 0 if it is a gift"),
    customerId: optional(wholeNumber({ least: 1, most: MOST_ID, ask: "" })),
    paid: choice(PAID, "Choose how it is paid"),
    soldOn: localDay({ ask: "Enter the day it is sold" }),
    note: optional(words(300, "")),
  })
  .refine(({ customerId, paid }) => paid !== "later" || customerId !== undefined, {
    message: "Choose who owes it, or how it is paid now",
    path: ["customerId"],
  });
