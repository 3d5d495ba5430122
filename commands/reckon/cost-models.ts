import { z } from "zod";
import { type Model, model, number } from "#commands/reckon/model.ts";
import { feedPerKilogramSold } from "#core/cost/feed-sold.ts";
import { JOINT_BASES, type ProductToCost, productCosts } from "#core/cost/product-cost.ts";
import { cents } from "#core/quantity/quantity.ts";

const products = z.record(z.string(), z.object({ kg: number, cents_per_kg: number, own_cents: number }));

const toCost = (of: z.output<typeof products>): ProductToCost[] =>
  Object.entries(of).map(([name, { kg, cents_per_kg, own_cents }]) => ({
    name,
    kilograms: kg,
    centsPerKilogram: cents_per_kg,
    ownCents: cents(own_cents),
  }));

export const COST_MODELS: Readonly<Record<string, Model>> = {
  "cost.cuts": model(
    z.object({ basis: z.enum(JOINT_BASES), joint_cents: number, products, by_products: products }),
    (of) => {
      const costs = productCosts(
        cents(of.joint_cents),
        toCost(of.products),
        toCost(of.by_products),
        of.basis,
      );
      return {
        credit_cents: costs.creditCents,
        joint_after_credit_cents: costs.jointAfterCreditCents,
        products: Object.fromEntries(
          costs.products.map(({ name, jointCents, cents: all, costPerKilogram }) => [
            name,
            { joint_cents: jointCents, cents: all, cents_per_kg: costPerKilogram },
          ]),
        ),
      };
    },
  ),
  "feed.sold": model(
    z.object({ feed_kg: number, dressed_kg: number, sold_kg: z.record(z.string(), number) }),
    (of) => {
      const sold = Object.values(of.sold_kg).reduce((sum, kilograms) => sum + kilograms, 0);
      return {
        sellable_kg: sold,
        feed_per_kg_sold: feedPerKilogramSold(of.feed_kg, sold)?.value,
        sold_fraction_of_dressed: sold / of.dressed_kg,
      };
    },
  ),
};
