import { group, sum } from "d3-array";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import { usedOn } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { allot } from "#core/cost/allot.ts";
import { feedPerKilogramSold } from "#core/cost/feed-sold.ts";
import { type JointBasis, type ProductToCost, productCosts } from "#core/cost/product-cost.ts";
import { COST_BASES } from "#core/day/settle/settlement.ts";
import { packPrice } from "#core/label/pack-price.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { SupplyKind } from "#core/packing/supply-stock.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import { cents } from "#core/quantity/quantity.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";

/** What bears the cost of the birds; everything else is a by-product, which is taken off it. */
const MAIN_GROUPS: ReadonlySet<string> = new Set(["whole", "cut"]);
/** Which bags go on which packs. */
const BAG_OF = { whole: "bag", other: "vacuum_bag" } as const satisfies Record<string, SupplyKind>;

interface MadeProduct extends ProductToCost {
  readonly productId: number;
  readonly isMain: boolean;
  readonly isWhole: boolean;
  readonly packs: number;
  /** Sold by volume: its kilograms are liters. */
  readonly isByVolume: boolean;
}

/** What each product of a day's own birds cost, counted three ways; undefined until something was packed. */
export function costsOfProducts(here: FarmContext, farm: Farm, day: ProcessingDay, basis: JointBasis) {
  const ownLots = new Set(day.lots.filter(({ ownerId }) => ownerId === undefined).map(({ id }) => id));
  const lots = settlementOf(here, farm, day).lots.filter(
    ({ lotId, settlement }) => ownLots.has(lotId) && settlement,
  );
  const packs = here.file.pack.packs(day.id).filter(({ lotId }) => ownLots.has(lotId));
  const waiting = packs.filter(({ purpose, birdNumber }) => purpose === "cut" && birdNumber !== undefined);
  // Birds for pets are eaten all the same, and bear no cost of what is sold.
  const kept = packs.filter(
    (pack) => pack.purpose !== "condemned" && pack.purpose !== "pets" && !waiting.includes(pack),
  );
  if (lots.length === 0 || kept.length === 0) return undefined;
  const bags = bagsOf(here, day, kept);
  const products = madeProducts(here, kept, bags);
  const main = products.filter(({ isMain, kilograms }) => isMain && kilograms > 0);
  if (main.length === 0) return undefined;
  const others = products.filter(({ isMain }) => !isMain);
  const bagCents = sum(products, ({ ownCents }) => ownCents);
  const ways = COST_BASES.map((way, index) => {
    const total = cents(Math.round(sum(lots, ({ settlement }) => settlement!.methods[index]!.total.value)));
    return {
      way,
      totalCents: total,
      // The bags are a cost of their own product, and not of all.
      ...productCosts(cents(Math.max(0, total - bagCents)), main, others, basis),
    };
  });
  const sold = sum(
    kept.filter(({ purpose }) => purpose === "sale"),
    ({ weightMilligrams }) => kilogramsFromMilligrams(weightMilligrams ?? 0),
  );
  const feedKilograms = sum(lots, ({ settlement, dressedCount }) => {
    const { feedPerKilogramDressed, dressedMean } = settlement!;
    return (feedPerKilogramDressed?.value ?? 0) * dressedMean.value * dressedCount;
  });
  return {
    ways,
    others,
    waitingBirds:
      waiting.length > 0 && !products.some(({ isMain, isWhole }) => isMain && !isWhole) ? waiting.length : 0,
    feedSold: feedKilograms > 0 ? feedPerKilogramSold(feedKilograms, sold) : undefined,
  };
}

/** What the day's bags cost, by the kind of pack that they went on. */
function bagsOf(here: FarmContext, day: ProcessingDay, packs: readonly Pack[]) {
  const kinds = new Map(here.file.supplying.supplies().map(({ name, kind }) => [name, kind]));
  const costOf = (kind: SupplyKind) =>
    sum(
      usedOn(here, day.id).filter(({ name }) => kinds.get(name) === kind),
      ({ cents: amount }) => amount,
    );
  const whole = packs.filter(({ birdNumber }) => birdNumber !== undefined).length;
  return {
    whole: { cents: costOf(BAG_OF.whole), packs: whole },
    other: { cents: costOf(BAG_OF.other), packs: packs.length - whole },
  };
}

function madeProducts(
  here: FarmContext,
  packs: readonly Pack[],
  bags: ReturnType<typeof bagsOf>,
): MadeProduct[] {
  const known = new Map(here.file.catalog.products().map((product) => [product.id, product]));
  const made = [...group(packs, ({ productId }) => productId)].flatMap(([productId, own]) => {
    const product = known.get(productId);
    if (!product) return [];
    const { group: of } = productKind(product.kind);
    const isByVolume = own.every(({ weightMilligrams }) => weightMilligrams === undefined);
    const kilograms = isByVolume
      ? sum(own, ({ volumeMilliliters }) => (volumeMilliliters ?? 0) / 1000)
      : sum(own, ({ weightMilligrams }) => kilogramsFromMilligrams(weightMilligrams ?? 0));
    const value = sum(
      own,
      (pack) => packPrice({ ...pack, priceCents: product.priceCents, priceUnit: product.priceUnit }) ?? 0,
    );
    return [
      {
        productId,
        name: productName(product),
        isMain: MAIN_GROUPS.has(of),
        isWhole: of === "whole",
        packs: own.length,
        isByVolume,
        kilograms,
        centsPerKilogram: kilograms > 0 ? value / kilograms : 0,
      },
    ];
  });
  const share = (isWhole: boolean, { cents: all }: { cents: number }) => {
    const bagged = made.map((one) => (one.isWhole === isWhole && !one.isByVolume ? one.packs : 0));
    return bagged.some((count) => count > 0) ? allot(cents(all), bagged) : made.map(() => cents(0));
  };
  const [whole, other] = [share(true, bags.whole), share(false, bags.other)];
  return made.map((one, index) => ({
    ...one,
    ownCents: one.isWhole ? whole[index]! : other[index]!,
  }));
}
