import type { PackShape } from "#core/freezing/freeze-time.ts";

/** A piece of one bird that can be counted. Leg quarters, and the thighs and drumsticks in them, come from the same two legs. */
export const BIRD_PIECES = {
  carcass: 1,
  breast: 2,
  tender: 2,
  "leg-quarter": 2,
  thigh: 2,
  drumstick: 2,
  wing: 2,
  back: 1,
  neck: 1,
  foot: 2,
  liver: 1,
  heart: 1,
  gizzard: 1,
  frame: 1,
} as const;
export type BirdPiece = keyof typeof BIRD_PIECES;

/** How a product is sold: by its weight, by the pack whatever it weighs, or by its volume. */
export const PRICE_BASES = ["weight", "pack", "volume"] as const;
export type PriceBasis = (typeof PRICE_BASES)[number];

export interface ProductKind {
  /** Where it stands in lists, and what it is made of. */
  readonly group: "whole" | "cut" | "giblets" | "feet" | "frames" | "other";
  /** The piece that is counted; undefined where a pack is only weighed or measured. */
  readonly piece?: BirdPiece;
  /** What goes into a pack: so many pieces, so much weight (kg) or so much volume (l). */
  readonly pack: { readonly pieces: number } | { readonly kilograms: number } | { readonly liters: number };
  readonly basis: PriceBasis;
  /** Months that it keeps its quality in a freezer at -18 °C, or in a jar or a dry box where it is not frozen. Guidance. */
  readonly keepsMonths: number;
  /** Hours of the freezer go by its shape and half its thickness, m; undefined where it is not frozen. */
  readonly freezing?: { readonly shape: PackShape; readonly halfThicknessMeters: number };
  /** Kept apart from what people eat. */
  readonly isForPets?: true;
}

const slab = (halfThicknessMeters: number) => ({ shape: "slab", halfThicknessMeters }) as const;
const cylinder = (halfThicknessMeters: number) => ({ shape: "cylinder", halfThicknessMeters }) as const;
const cut = { group: "cut", basis: "weight", keepsMonths: 9 } as const;
const giblets = { group: "giblets", basis: "weight", keepsMonths: 4, freezing: slab(0.02) } as const;

/**
 * What a bird can become: one row for each product that farms commonly make. Pieces a pack and thickness are choices; months are
 * widely quoted guidance for home freezers. See docs/sources.md#products.
 */
export const PRODUCT_KINDS = {
  "whole-bird": {
    group: "whole",
    piece: "carcass",
    pack: { pieces: 1 },
    basis: "weight",
    keepsMonths: 12,
    freezing: { shape: "sphere", halfThicknessMeters: 0.065 },
  },
  "cut-up-bird": { ...cut, piece: "carcass", pack: { pieces: 1 }, freezing: slab(0.04) },
  "breast-bone-in": { ...cut, piece: "breast", pack: { pieces: 2 }, freezing: slab(0.03) },
  "breast-bone-in-skinless": { ...cut, piece: "breast", pack: { pieces: 2 }, freezing: slab(0.03) },
  "breast-boneless": { ...cut, piece: "breast", pack: { pieces: 2 }, freezing: slab(0.021) },
  "breast-boneless-skinless": { ...cut, piece: "breast", pack: { pieces: 2 }, freezing: slab(0.021) },
  tender: { ...cut, piece: "tender", pack: { pieces: 8 }, freezing: slab(0.018) },
  "leg-quarter": { ...cut, piece: "leg-quarter", pack: { pieces: 2 }, freezing: slab(0.03) },
  thigh: { ...cut, piece: "thigh", pack: { pieces: 4 }, freezing: slab(0.025) },
  drumstick: { ...cut, piece: "drumstick", pack: { pieces: 4 }, freezing: slab(0.025) },
  wing: { ...cut, piece: "wing", pack: { pieces: 12 }, freezing: cylinder(0.034) },
  back: { ...cut, piece: "back", pack: { pieces: 4 }, freezing: slab(0.04) },
  frame: { ...cut, piece: "frame", pack: { pieces: 4 }, freezing: slab(0.05) },
  ground: { ...cut, pack: { kilograms: 0.45359237 }, keepsMonths: 4, freezing: slab(0.018) },
  neck: { ...giblets, piece: "neck", pack: { pieces: 8 } },
  liver: { ...giblets, piece: "liver", pack: { pieces: 8 } },
  heart: { ...giblets, piece: "heart", pack: { pieces: 20 } },
  gizzard: { ...giblets, piece: "gizzard", pack: { pieces: 12 } },
  feet: { ...giblets, group: "feet", piece: "foot", pack: { pieces: 12 }, keepsMonths: 9 },
  "feet-peeled": { ...giblets, group: "feet", piece: "foot", pack: { pieces: 12 }, keepsMonths: 9 },
  "feet-dried": {
    group: "feet",
    piece: "foot",
    pack: { pieces: 10 },
    basis: "pack",
    keepsMonths: 12,
    isForPets: true,
  },
  "heart-dried": {
    group: "giblets",
    piece: "heart",
    pack: { pieces: 20 },
    basis: "pack",
    keepsMonths: 12,
    isForPets: true,
  },
  "gizzard-dried": {
    group: "giblets",
    piece: "gizzard",
    pack: { pieces: 12 },
    basis: "pack",
    keepsMonths: 12,
    isForPets: true,
  },
  "picked-meat": {
    group: "frames",
    pack: { kilograms: 0.45359237 },
    basis: "weight",
    keepsMonths: 4,
    freezing: slab(0.02),
  },
  broth: {
    group: "frames",
    pack: { liters: 0.946352946 },
    basis: "volume",
    keepsMonths: 3,
    freezing: cylinder(0.045),
  },
  "canned-jar": { group: "frames", pack: { liters: 0.946352946 }, basis: "pack", keepsMonths: 12 },
  "rendered-fat": {
    group: "other",
    pack: { kilograms: 0.45359237 },
    basis: "weight",
    keepsMonths: 12,
    freezing: cylinder(0.04),
  },
  "pet-food": {
    group: "other",
    pack: { kilograms: 0.45359237 },
    basis: "weight",
    keepsMonths: 6,
    freezing: slab(0.02),
    isForPets: true,
  },
  own: {
    group: "other",
    pack: { kilograms: 0.45359237 },
    basis: "weight",
    keepsMonths: 6,
    freezing: slab(0.025),
  },
} as const satisfies Readonly<Record<string, ProductKind>>;

export type ProductKindName = keyof typeof PRODUCT_KINDS;
export const PRODUCT_KIND_NAMES = Object.keys(PRODUCT_KINDS) as readonly ProductKindName[];

/** The row of a kind, with what some rows leave out. */
export const productKind = (name: ProductKindName): ProductKind => PRODUCT_KINDS[name];
