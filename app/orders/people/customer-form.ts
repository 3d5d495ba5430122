import { z } from "zod";
import { choice, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { CUSTOMER_KINDS } from "#core/sharing/customer-kind.ts";

export const customerForm = z
  .object({
    /** The state of it that the person saw; empty for someone new. */
    revision: optional(wholeNumber({ most: 1_000_000_000, ask: "" })),
    name: words(60, "Enter their name"),
    kind: choice(CUSTOMER_KINDS, "Choose who they are to you"),
    contact: optional(words(200, "")),
    note: optional(words(500, "")),
  })
  .transform(({ contact, note, ...rest }) => ({ ...rest, contact: contact ?? "", note: note ?? "" }));
