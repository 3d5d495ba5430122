import type { BirdMeans } from "#core/carcass-yield/piece-weight.ts";
import { productOfBird } from "#core/carcass-yield/piece-weight.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";

/** A cut with its price. */
export interface PricedCut {
  readonly product: ProductKindName;
  /** Undefined where it has none, and then brings nothing. */
  readonly centsPerKilogram: number | undefined;
}

export interface WholeOrCut {
  /** What one bird brings whole, cents. */
  readonly wholeCents: number;
  /** What its cuts bring together, cents. */
  readonly cutCents: number;
  readonly laborCents: number;
  readonly bagCents: number;
  /** How much more it brings cut up, after the work and the bags; less than 0 where whole is better. */
  readonly gainCents: number;
  /** The price of a whole bird at which both bring the same, cents per kilogram. */
  readonly evenCentsPerKilogram: number;
  /** Cuts that have no price, and count as nothing. */
  readonly unpriced: readonly ProductKindName[];
}

/**
 * Whether a bird brings more whole or cut up.
 *
 * @param minutes at the block and the sealer for one bird
 * @param centsAnHour 0 where the farm does not count its hours
 * @param bagCents for the bags of one bird's cuts, beyond the bag that it would take whole
 * @throws {RangeError} if the bird weighs nothing
 */
export function wholeOrCut(
  bird: BirdMeans,
  wholeCentsPerKilogram: number,
  cuts: readonly PricedCut[],
  { minutes, centsAnHour, bagCents }: { minutes: number; centsAnHour: number; bagCents: number },
): WholeOrCut {
  if (!(bird.dressedKilograms > 0))
    throw new RangeError(`a bird must weigh more than 0 kg, got ${bird.dressedKilograms}`);
  const wholeCents = bird.dressedKilograms * wholeCentsPerKilogram;
  const cutCents = cuts.reduce(
    (sum, { product, centsPerKilogram }) =>
      sum + (productOfBird(product, bird) ?? 0) * (centsPerKilogram ?? 0),
    0,
  );
  const laborCents = (minutes / 60) * centsAnHour;
  const after = cutCents - laborCents - bagCents;
  return {
    wholeCents,
    cutCents,
    laborCents,
    bagCents,
    gainCents: after - wholeCents,
    evenCentsPerKilogram: after / bird.dressedKilograms,
    unpriced: cuts
      .filter(({ centsPerKilogram }) => centsPerKilogram === undefined)
      .map(({ product }) => product),
  };
}
