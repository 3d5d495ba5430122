import { allot } from "#core/cost/allot.ts";
import { type Cents, cents } from "#core/quantity/quantity.ts";

/** Of all of one product that came of the birds. */
export interface ProductToCost {
  /** By which equal remainders are settled: the first in the alphabet takes the cent. */
  readonly name: string;
  readonly kilograms: number;
  /** What it sells for; 0 where it has no price. */
  readonly centsPerKilogram: number;
  /** What only it cost: its bags, its drying. */
  readonly ownCents: Cents;
}

/** How a cost that belongs to all is shared: by what products sell for, or by what they weigh. */
export const JOINT_BASES = ["value", "weight"] as const;
export type JointBasis = (typeof JOINT_BASES)[number];

export interface CostedProduct extends ProductToCost {
  /** Its part of the joint cost. */
  readonly jointCents: Cents;
  /** With its own cost. */
  readonly cents: Cents;
  /** Undefined where it weighs nothing. */
  readonly costPerKilogram: number | undefined;
}

export interface ProductCosts {
  /** In the order they were given. */
  readonly products: readonly CostedProduct[];
  /** What by-products bring in beyond their own cost; less than 0 where they cost more than they bring. */
  readonly creditCents: number;
  readonly jointAfterCreditCents: Cents;
  /** What by-products bring in beyond all that the birds cost: income, and not lost. */
  readonly incomeCents: Cents;
}

/**
 * Splits what the birds cost over what came of them, to the cent. By-products are credited at what they sell for less their own cost, each
 * rounded by itself; the rest goes to the products by their sales value or weight, by weight also where none has a price; largest
 * remainder. See docs/sources.md#cost.
 *
 * @throws {RangeError} if there is no product that weighs anything to bear what is left
 */
export function productCosts(
  joint: Cents,
  products: readonly ProductToCost[],
  byProducts: readonly ProductToCost[],
  basis: JointBasis,
): ProductCosts {
  const credit = byProducts.reduce(
    (sum, { kilograms, centsPerKilogram, ownCents }) =>
      sum + Math.round(kilograms * centsPerKilogram) - ownCents,
    0,
  );
  const left = cents(Math.max(0, joint - credit));
  const values = products.map(({ kilograms, centsPerKilogram }) => kilograms * centsPerKilogram);
  const isByValue = basis === "value" && values.some((value) => value > 0);
  const weights = isByValue ? values : products.map(({ kilograms }) => kilograms);
  const parts = allotByName(left, products, weights);
  return {
    products: products.map((product, index) => {
      const all = cents(parts[index]! + product.ownCents);
      return {
        ...product,
        jointCents: parts[index]!,
        cents: all,
        costPerKilogram: product.kilograms > 0 ? all / product.kilograms : undefined,
      };
    }),
    creditCents: credit,
    jointAfterCreditCents: left,
    incomeCents: cents(Math.max(0, credit - joint)),
  };
}

/** Splits an amount, and between equal remainders the first in the alphabet takes the cent. */
function allotByName(total: Cents, products: readonly ProductToCost[], weights: readonly number[]): Cents[] {
  const order = products
    .map((_, index) => index)
    .toSorted((one, other) => (products[one]!.name < products[other]!.name ? -1 : 1));
  const parts = allot(
    total,
    order.map((index) => weights[index]!),
  );
  return products.map((_, index) => parts[order.indexOf(index)]!);
}
