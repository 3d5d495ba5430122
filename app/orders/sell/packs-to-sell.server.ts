import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { packCode, packIdOf } from "#core/label/pack-code.ts";
import { packPrice } from "#core/label/pack-price.ts";
import type { KnownPack } from "#db/freezer/freezer-queries.server.ts";

/** A pack as it is sold. */
export interface PackToSell extends KnownPack {
  readonly name: string;
  readonly code: string;
  readonly placeName: string | undefined;
  /** By its label; where that has no price, by the price list. Undefined where neither has one. */
  readonly cents: number | undefined;
}

/** Most packs that are listed to choose from. */
const MOST_LISTED = 60;

/** Everything in stock that may be sold, with its price. */
export function packsToSell({ file }: FarmContext): PackToSell[] {
  const products = new Map(file.catalog.products().map((product) => [product.id, product]));
  const places = new Map(file.places().map(({ id, name }) => [id, name]));
  return file.freezers
    .stored()
    .filter(({ purpose }) => purpose === "sale")
    .map((pack) => ({
      ...pack,
      name: productName({ kind: pack.productKind, name: pack.productName }),
      code: packCode(pack.id),
      placeName: pack.placeId === undefined ? undefined : places.get(pack.placeId),
      cents: packPrice(
        pack.priceCents === undefined ? { ...pack, ...priceOf(products.get(pack.productId)) } : pack,
      ),
    }));
}

type Priced = Pick<KnownPack, "priceCents" | "priceUnit">;
const priceOf = (product: Priced | undefined): Priced => ({
  priceCents: product?.priceCents,
  priceUnit: product?.priceUnit ?? "pack",
});

/** Packs to choose from: those with every word that is looked for, the oldest first. */
export function packsFound(packs: readonly PackToSell[], find: string): PackToSell[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
  return packs
    .filter((pack) => {
      const line =
        `${pack.name} ${pack.batchName} ${pack.processedOn} ${pack.placeName ?? ""} ${pack.code} bird ${pack.birdNumber ?? ""}`.toLowerCase();
      return words.every((word) => line.includes(word));
    })
    .slice(0, MOST_LISTED);
}

/** The pack of a code that was typed or scanned, if it may be sold. */
export const packOfCode = (packs: readonly PackToSell[], text: string): PackToSell | undefined => {
  const id = packIdOf(text);
  return id === undefined ? undefined : packs.find((pack) => pack.id === id);
};
