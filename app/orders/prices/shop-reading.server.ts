import { costsOfProducts } from "#app/server/day/costs-of-products.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { hourRate } from "#app/server/farm/farm-means.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
import { wholeOrCut } from "#core/cost/whole-or-cut.ts";
import { USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { CUT_MINUTES, sealHandMinutes, USUAL_CUTTING } from "#core/cutting/cutting-constants.ts";
import { centsPerKilogram } from "#core/label/price-per-kilogram.ts";
import type { SupplyKind } from "#core/packing/supply-stock.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** The last settled day of our own birds that something can be costed of. */
function lastCosts(here: FarmContext, farm: Farm) {
  for (const day of here.file.days().toReversed()) {
    if (day.settledEntryId === undefined) continue;
    const costs = costsOfProducts(here, farm, day, "weight");
    if (costs) return { day, costs };
  }
  return undefined;
}

/** Our price of each product, what it cost, and what shops ask for the like. */
export function againstTheShop(here: FarmContext, farm: Farm) {
  const { catalog } = here.file;
  const last = lastCosts(here, farm);
  const seen = catalog.shopPrices();
  const products = catalog.products().map((product) => {
    const name = productName(product);
    return {
      id: product.id,
      name,
      priceCents: product.priceCents,
      priceUnit: product.priceUnit,
      perKilogram: centsPerKilogram(product),
      costs:
        last?.costs.ways.map((way) => way.products.find((one) => one.name === name)?.costPerKilogram) ?? [],
      shops: seen
        .filter(({ productId }) => productId === product.id)
        .map((one) => ({ ...one, perKilogram: centsPerKilogram(one) })),
    };
  });
  return {
    products,
    costedOn: last?.day.processedOn,
    cut: last && cutOf(here, farm, last.day),
  };
}

/** Whether a bird like the last ones brings more whole or cut up; undefined without a price for whole birds. */
function cutOf(here: FarmContext, farm: Farm, day: ProcessingDay) {
  const lot = day.lots.find(({ ownerId }) => ownerId === undefined);
  const batch = lot && here.file.batch(lot.batchId);
  const weights = here.file.pack
    .carcasses(day.id)
    .flatMap(({ lotId, weightMilligrams }) =>
      lotId !== lot?.id || weightMilligrams === undefined ? [] : [weightMilligrams],
    );
  const products = here.file.catalog.products();
  const priceOf = (kind: string) => {
    const product = products.find((one) => one.kind === kind);
    return product && centsPerKilogram(product);
  };
  const whole = priceOf("whole-bird");
  if (!batch || weights.length === 0 || whole === undefined) return undefined;
  const dressedKilograms =
    kilogramsFromMilligrams(weights.reduce((sum, weight) => sum + weight, 0)) / weights.length;
  const centsOf = (kind: SupplyKind) => {
    const supply = here.file.supplying.supplies().find((one) => one.kind === kind);
    return supply ? supply.packCents / supply.packAmount : 0;
  };
  const minutes = CUT_MINUTES.knife + sealHandMinutes(USUAL_CUTTING);
  return {
    dressedKilograms,
    minutes,
    ...wholeOrCut(
      {
        kind: batch.kind,
        dressedKilograms,
        liveKilograms: dressedKilograms / DRESSED_FRACTION[batch.kind],
      },
      whole,
      USUAL_SCHEME.map(({ product }) => ({ product, centsPerKilogram: priceOf(product) })),
      {
        minutes,
        centsAnHour: hourRate(farm).value,
        bagCents: Math.max(0, centsOf("vacuum_bag") * USUAL_CUTTING.packsPerBird - centsOf("bag")),
      },
    ),
  };
}
