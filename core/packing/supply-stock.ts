/** What is used up on a processing day. Ice is counted in bags, gloves in pairs, towels in rolls, propane and salt in grams, bleach in milliliters. */
export const SUPPLY_KINDS = [
  "ice",
  "bag",
  "tie",
  "tube",
  "label",
  "vacuum_bag",
  "propane",
  "bleach",
  "salt",
  "glove",
  "towel",
  "bin_bag",
] as const;
export type SupplyKind = (typeof SUPPLY_KINDS)[number];

/** Something bought, used, or counted; a count says what is there, whatever was thought before. */
export interface SupplyMove {
  readonly kind: "bought" | "counted" | "used";
  readonly amount: number;
}

/**
 * What is in stock after moves in the order of their days: never less than nothing. Undefined where nothing was ever
 * bought or counted.
 */
export function stockAfter(moves: readonly SupplyMove[]): number | undefined {
  let stock: number | undefined;
  for (const { kind, amount } of moves) {
    if (kind === "counted") stock = amount;
    else if (kind === "bought") stock = (stock ?? 0) + amount;
    else if (stock !== undefined) stock = Math.max(0, stock - amount);
  }
  return stock;
}
