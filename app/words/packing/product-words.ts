import { plural } from "#app/words/show.ts";
import type { PriceUnit } from "#core/label/pack-price.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import type { RedoCause } from "#core/packing/redo.ts";

interface ProductWords {
  /** As on a list, and on a label where the farm says nothing else. */
  readonly name: string;
  /** One piece and several, where pieces are counted. */
  readonly piece?: readonly [string, string];
}

const BREAST = ["breast", "breasts"] as const;
const FOOT = ["foot", "feet"] as const;

export const PRODUCT_WORDS: Readonly<Record<ProductKindName, ProductWords>> = {
  "whole-bird": { name: "Whole chicken", piece: ["bird", "birds"] },
  "cut-up-bird": { name: "Whole chicken, cut up", piece: ["bird", "birds"] },
  "breast-bone-in": { name: "Breasts, bone in, skin on", piece: BREAST },
  "breast-bone-in-skinless": { name: "Breasts, bone in, skinless", piece: BREAST },
  "breast-boneless": { name: "Breasts, boneless, skin on", piece: BREAST },
  "breast-boneless-skinless": { name: "Breasts, boneless, skinless", piece: BREAST },
  tender: { name: "Tenders", piece: ["tender", "tenders"] },
  "leg-quarter": { name: "Leg quarters", piece: ["leg quarter", "leg quarters"] },
  thigh: { name: "Thighs", piece: ["thigh", "thighs"] },
  drumstick: { name: "Drumsticks", piece: ["drumstick", "drumsticks"] },
  wing: { name: "Wings", piece: ["wing", "wings"] },
  back: { name: "Backs", piece: ["back", "backs"] },
  frame: { name: "Frames", piece: ["frame", "frames"] },
  ground: { name: "Ground chicken" },
  neck: { name: "Necks", piece: ["neck", "necks"] },
  liver: { name: "Livers", piece: ["liver", "livers"] },
  heart: { name: "Hearts", piece: ["heart", "hearts"] },
  gizzard: { name: "Gizzards", piece: ["gizzard", "gizzards"] },
  feet: { name: "Feet", piece: FOOT },
  "feet-peeled": { name: "Feet, peeled", piece: FOOT },
  "feet-dried": { name: "Feet, dried", piece: FOOT },
  "heart-dried": { name: "Hearts, dried", piece: ["heart", "hearts"] },
  "gizzard-dried": { name: "Gizzards, dried", piece: ["gizzard", "gizzards"] },
  "picked-meat": { name: "Picked meat, cooked" },
  broth: { name: "Broth" },
  "canned-jar": { name: "Canned jar" },
  "rendered-fat": { name: "Rendered fat" },
  "pet-food": { name: "Pet food" },
  own: { name: "Product of our own" },
};

/** What a price is for. */
export const PRICE_UNIT_WORDS = {
  pound: "/ lb",
  kilogram: "/ kg",
  pack: "a pack",
  quart: "/ qt",
  liter: "/ l",
} as const satisfies Readonly<Record<PriceUnit, string>>;

/** The farm's name for a product, or the usual one of its kind. */
export const productName = ({
  kind,
  name,
}: {
  readonly kind: ProductKindName;
  readonly name: string;
}): string => name || PRODUCT_WORDS[kind].name;

/** `2 breasts`; undefined where pieces are not counted. */
export function piecesInWords(kind: ProductKindName, pieces: number): string | undefined {
  const { piece } = PRODUCT_WORDS[kind];
  return piece && pieces > 0 ? plural(pieces, ...piece) : undefined;
}

/** Why a pack is done again, and what helps. */
export const REDO_WORDS: Readonly<Record<RedoCause, { readonly tap: string; readonly remedy: string }>> = {
  bone: { tap: "Bone through the bag", remedy: "Tuck the legs, pad the points, or use a thicker bag." },
  seal: { tap: "Seal leaks", remedy: "Wipe the bag's mouth dry; seal longer." },
  tie: { tap: "Tie leaks", remedy: "Twist tighter, and tie twice." },
  burst: { tap: "Burst in the dip", remedy: "Vent it with the tube; a size larger; cooler water." },
  label: { tap: "Label came off", remedy: "Dry the bag before the label goes on." },
  other: { tap: "Something else", remedy: "" },
};
