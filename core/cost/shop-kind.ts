/** How birds are raised that a shop sells. */
export const SHOP_KINDS = ["ordinary", "pastured", "organic"] as const;
export type ShopKind = (typeof SHOP_KINDS)[number];
