import type { DriedKind } from "#core/carcass-yield/dry-yield.ts";
import type { WentKind } from "#core/packing/where-it-went.ts";

export interface ByProductRow {
  /** Where its weight goes in the account of the birds. */
  readonly went: WentKind;
  /** What dries; undefined for what is not dried. */
  readonly dries?: DriedKind;
  /** Something comes of it that is weighed; else it is only thrown on the compost. */
  readonly hasOut: boolean;
  /** Broth is measured beside it. */
  readonly hasVolume?: true;
}

/** What becomes of what is not packed as it is. */
export const BY_PRODUCTS = {
  "dry-feet": { went: "dried", dries: "feet", hasOut: true },
  "dry-hearts": { went: "dried", dries: "hearts", hasOut: true },
  "dry-gizzards": { went: "dried", dries: "gizzards", hasOut: true },
  boil: { went: "boiled", hasOut: true, hasVolume: true },
  mince: { went: "minced", hasOut: true },
  render: { went: "rendered", hasOut: true },
  blood: { went: "compost", hasOut: false },
  feathers: { went: "compost", hasOut: false },
  offal: { went: "compost", hasOut: false },
} as const satisfies Readonly<Record<string, ByProductRow>>;

export type ByProductKind = keyof typeof BY_PRODUCTS;
export const BY_PRODUCT_KINDS = Object.keys(BY_PRODUCTS) as [ByProductKind, ...ByProductKind[]];
export const byProductRow = (kind: ByProductKind): ByProductRow => BY_PRODUCTS[kind];
