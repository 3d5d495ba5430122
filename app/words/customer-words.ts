import type { CustomerKind } from "#core/sharing/customer-kind.ts";

/** Who somebody is who takes birds, or has birds processed here. */
export const CUSTOMER_WORDS: Readonly<Record<CustomerKind, string>> = {
  customer: "a customer",
  business: "an inn, a shop, or a restaurant",
  household: "a household that raises with you",
  neighbor: "a neighbor",
  own: "your own household",
};
