import { group, sum } from "d3-array";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { BY_PRODUCT_WORDS } from "#app/words/packing/by-product-words.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { byProductRow } from "#core/packing/by-products.ts";
import { type ProductKindName, productKind } from "#core/packing/product-kinds.ts";
import {
  usedOfLive,
  type WentKind,
  type WentRow,
  type WhereItWent,
  whereItWent,
} from "#core/packing/where-it-went.ts";
import { milligramsFromKilograms } from "#core/quantity/conversion.ts";
import type { Reckoning } from "#core/reckoning/reckoning.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";
import type { Product } from "#db/pack/product-queries.server.ts";

export interface WentOfDay extends WhereItWent {
  readonly liveMilligrams: number;
  readonly birds: number;
  /** Each lot was weighed alive; else what was expected of it stands. */
  readonly isLiveMeasured: boolean;
  /** Of the live weight: meat in packs, and everything that was used. */
  readonly meatFraction: number;
  readonly used: Reckoning;
  /** What came of loads that were boiled, dried, ground or rendered. */
  readonly madeMilligrams: number;
  readonly brothMilliliters: number;
}

/** Where each milligram of a day's live birds went; undefined until a bird was weighed. */
export function wentOfDay(here: FarmContext, farm: Farm, day: ProcessingDay): WentOfDay | undefined {
  const packs = here.file.pack.packs(day.id);
  const carcasses = here.file.pack.carcasses(day.id);
  if (carcasses.length === 0) return undefined;
  const lots = settlementOf(here, farm, day).lots.map((lot) => ({
    ...lot,
    weighed: carcasses.filter(({ lotId }) => lotId === lot.lotId).length,
    condemned: carcasses.filter(({ lotId, purpose }) => lotId === lot.lotId && purpose === "condemned")
      .length,
    liveEach: milligramsFromKilograms(lot.live.value),
  }));
  const loads = here.file.byProducts.loads(day.id);
  const liveMilligrams = sum(lots, ({ weighed, liveEach }) => weighed * liveEach);
  const condemned = sum(lots, ({ condemned: birds, liveEach }) => birds * liveEach);
  const rows: WentRow[] = [
    ...rowsOfPacks(
      packs,
      here.file.catalog.products(),
      new Set(loads.map(({ kind }) => byProductRow(kind).went)),
    ),
    ...loads.map(({ kind, inMilligrams }) => ({
      kind: byProductRow(kind).went,
      what: BY_PRODUCT_WORDS[kind].goesIn,
      milligrams: inMilligrams,
      packs: 0,
    })),
    ...(condemned > 0 ? [{ kind: "condemned" as const, what: "", milligrams: condemned, packs: 0 }] : []),
  ];
  const cutBirds = packs.filter(({ purpose, productId }) => purpose === "cut" && productId === WHOLE_BIRD);
  const went = whereItWent({
    liveMilligrams,
    rows,
    cutBirdsMilligrams: sum(cutBirds, ({ weightMilligrams }) => weightMilligrams ?? 0),
  });
  const isLiveMeasured = lots.every(({ live }) => live.provenance === "measured");
  return {
    ...went,
    ...usedOfLive(went, liveMilligrams, isLiveMeasured),
    liveMilligrams,
    birds: carcasses.length,
    isLiveMeasured,
    madeMilligrams: sum(loads, ({ outMilligrams }) => outMilligrams ?? 0),
    brothMilliliters: sum(loads, ({ milliliters }) => milliliters ?? 0),
  };
}

const WHOLE_BIRD = 1;

/** Packs by product. What was cooked, dried, ground or rendered counts as its load went in, if that was weighed. */
function rowsOfPacks(
  packs: readonly Pack[],
  products: readonly Product[],
  loads: ReadonlySet<WentKind>,
): WentRow[] {
  const raw = packs.filter(
    ({ purpose, productId }) => purpose !== "condemned" && !(purpose === "cut" && productId === WHOLE_BIRD),
  );
  return [...group(raw, ({ productId }) => productId)].flatMap(([productId, alike]): WentRow[] => {
    const product = products.find(({ id }) => id === productId)!;
    const kind = wentOf(product, loads);
    if (kind === undefined) return [];
    return [
      {
        kind,
        what: productName(product),
        milligrams: sum(alike, ({ weightMilligrams }) => weightMilligrams ?? 0),
        packs: alike.length,
      },
    ];
  });
}

/** What was made of something else on the way, and the load that it went in with. */
const MADE_OF: Readonly<Partial<Record<ProductKindName, WentKind>>> = {
  "picked-meat": "boiled",
  broth: "boiled",
  "canned-jar": "boiled",
  "feet-dried": "dried",
  "heart-dried": "dried",
  "gizzard-dried": "dried",
  ground: "minced",
  "rendered-fat": "rendered",
};

/** Where a product's packs stand in the account; undefined where the load that they came of stands there already. */
function wentOf({ kind }: Product, loads: ReadonlySet<WentKind>): WentKind | undefined {
  const madeOf = MADE_OF[kind];
  if (madeOf !== undefined) return loads.has(madeOf) ? undefined : madeOf;
  const { group: of, isForPets } = productKind(kind);
  if (isForPets) return "pets";
  return of === "frames" || of === "other" ? "cut" : of;
}
