import { PRODUCT_WORDS } from "#app/words/packing/product-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { PackDoubt } from "#core/packing/pack-check.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import { milligramsFromKilograms } from "#core/quantity/conversion.ts";

/** What is doubtful about a pack, under the field where it can be put right. */
export function doubtFaults(
  found: PackDoubt,
  kind: ProductKindName,
  pieces: number,
  show: Show,
): Readonly<Record<string, string>> {
  const piece = PRODUCT_WORDS[kind].piece ?? (["piece", "pieces"] as const);
  switch (found.doubt) {
    case "too-many-pieces":
      return {
        pieces:
          found.left === 0
            ? `All ${piece[1]} of these birds are packed already. Check the lot and the count, or weigh another bird to cut up`
            : `Only ${plural(found.left, ...piece)} of these birds ${found.left === 1 ? "is" : "are"} left. Check the count`,
      };
    case "heavier-than-birds":
      return {
        amount: `That is more than is left of the birds it comes from, ${show.bulk(milligramsFromKilograms(Math.max(0, found.birdsKilograms)))}. Check the weight and the lot`,
      };
    case "unlikely-weight":
      return {
        amount: `That weighs like ${plural(found.likePieces, ...piece)}, not ${pieces}. Check the count and the weight, or tick “It is right” below`,
        isSure: "Tick this to save it as it is",
      };
  }
}
