import { type BirdMeans, productOfBird } from "#core/carcass-yield/piece-weight.ts";
import { BIRD_PIECES, type ProductKindName, productKind } from "#core/packing/product-kinds.ts";

/** Packs of one product that birds of one lot gave on an earlier day, all together. */
export interface EarlierPacks {
  readonly product: ProductKindName;
  readonly pieces: number;
  readonly kilograms: number;
  /** Of the birds that they came from. */
  readonly means: BirdMeans;
}

/** How the farm's own packs of a product compare with the usual shares. */
export interface OwnShare {
  /** Weight of its pieces over what the usual shares say of them. */
  readonly ratio: number;
  /** Birds that it is known from. */
  readonly birds: number;
}

export type OwnShares = ReadonlyMap<ProductKindName, OwnShare>;

/** Fewer birds than these say nothing yet, and the usual share still counts as so many birds. Choices. See docs/sources.md#packs. */
export const OWN_SHARE = { leastBirds: 3, usualBirds: 3 } as const;

/** What the farm's earlier packs say of each product; those that are not counted by pieces of raw birds are left out. */
export function ownShares(earlier: readonly EarlierPacks[]): OwnShares {
  const sums = new Map<ProductKindName, { weighed: number; usual: number; birds: number }>();
  for (const { product, pieces, kilograms, means } of earlier) {
    const { piece } = productKind(product);
    const ofBird = productOfBird(product, means);
    if (piece === undefined || ofBird === undefined || pieces === 0) continue;
    const birds = pieces / BIRD_PIECES[piece];
    const sum = sums.get(product) ?? { weighed: 0, usual: 0, birds: 0 };
    sums.set(product, {
      weighed: sum.weighed + kilograms,
      usual: sum.usual + ofBird * birds,
      birds: sum.birds + birds,
    });
  }
  return new Map(
    [...sums]
      .filter(([, { birds }]) => birds >= OWN_SHARE.leastBirds)
      .map(([product, { weighed, usual, birds }]) => {
        const prior = (usual / birds) * OWN_SHARE.usualBirds;
        return [product, { ratio: (weighed + prior) / (usual + prior), birds }];
      }),
  );
}

/** Products that are the same part of a bird, cut finer or trimmed otherwise. */
const ALIKE: readonly (readonly ProductKindName[])[] = [
  ["breast-bone-in", "breast-bone-in-skinless", "breast-boneless", "breast-boneless-skinless", "tender"],
  ["leg-quarter", "thigh", "drumstick"],
  ["back", "frame"],
  ["feet", "feet-peeled"],
];

export interface ShareFound extends OwnShare {
  /** Of the farm's own packs of it, of its packs of the same part of a bird, or the usual share as it is. */
  readonly from: "own-packs" | "alike" | "default";
}

/** The correction that stands for a product: its own, else that of the same part of the bird, else none. */
export function shareOf(product: ProductKindName, own: OwnShares): ShareFound {
  const known = own.get(product);
  if (known) return { ...known, from: "own-packs" };
  const alike = (ALIKE.find((some) => some.includes(product)) ?? []).flatMap((one) => own.get(one) ?? []);
  const birds = alike.reduce((sum, one) => sum + one.birds, 0);
  if (birds === 0) return { ratio: 1, birds: 0, from: "default" };
  return { ratio: alike.reduce((sum, one) => sum + one.ratio * one.birds, 0) / birds, birds, from: "alike" };
}
