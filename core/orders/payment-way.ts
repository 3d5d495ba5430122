/** How money changes hands. */
export const PAYMENT_WAYS = ["cash", "check", "card", "transfer", "other"] as const;
export type PaymentWay = (typeof PAYMENT_WAYS)[number];
