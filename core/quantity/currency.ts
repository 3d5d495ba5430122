/** Money that a farm may reckon in; all have a hundredth part. */
export const CURRENCIES = ["USD", "CAD", "EUR", "GBP", "AUD", "NZD"] as const;
export type Currency = (typeof CURRENCIES)[number];
