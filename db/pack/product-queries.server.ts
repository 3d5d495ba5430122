import type { Database } from "better-sqlite3";
import type { ShopKind } from "#core/cost/shop-kind.ts";
import type { PriceUnit } from "#core/label/pack-price.ts";
import { PRODUCT_KIND_NAMES, type ProductKindName } from "#core/packing/product-kinds.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** What the farm says of a product; undefined and empty where the usual of its kind stands. */
export interface ProductSetting {
  readonly name: string;
  readonly piecesPerPack: number | undefined;
  readonly labelWords: string;
  readonly keepsMonths: number | undefined;
}

/** What one unit of a product costs. */
export interface Price {
  /** Undefined where it has none. */
  readonly priceCents: number | undefined;
  readonly priceUnit: PriceUnit;
}

/** A product as it is, with the price of today. */
export interface Product extends ProductSetting, Price {
  readonly id: number;
  readonly kind: ProductKindName;
  readonly revision: number;
}

/** What a product costs from a day on. */
export interface DatedPrice extends Price {
  readonly id: number;
  /** Undefined for one that was set before prices had days. */
  readonly entryId: string | undefined;
  readonly productId: number;
  readonly fromDay: string;
}

/** What a shop asked for the like of a product, as somebody saw it. */
export interface ShopPrice {
  readonly id: number;
  readonly entryId: string;
  readonly productId: number;
  readonly priceCents: number;
  readonly priceUnit: PriceUnit;
  readonly kind: ShopKind;
  readonly seenOn: string;
  readonly place: string;
}

/** A bowl or a bag, and what it weighs empty. */
export interface Container {
  readonly id: number;
  readonly entryId: string;
  readonly name: string;
  readonly tareMilligrams: number;
}

/** Prepares every statement of products and containers once; call it once per connection. */
export function productQueries(database: Database) {
  const entries = entryQueries(database);
  const selectProducts = database.prepare<[], Product>(`
    WITH begun AS (
      SELECT product_id, price_cents, price_unit,
             row_number() OVER (PARTITION BY product_id ORDER BY from_day DESC, id DESC) AS place
        FROM product_price
       WHERE (entry_id IS NULL OR entry_id NOT IN (SELECT entry_id FROM entry_taken_back))
         AND from_day <= present_day((SELECT time_zone FROM farm)))
    SELECT product.id, kind, name, pieces_per_pack AS piecesPerPack, begun.price_cents AS priceCents,
           coalesce(begun.price_unit, 'pack') AS priceUnit, label_words AS labelWords, keeps_months AS keepsMonths, revision
      FROM product LEFT JOIN begun ON begun.product_id = product.id AND begun.place = 1
     WHERE entry_id IS NULL OR entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`);
  const updateProduct = database.prepare<ProductSetting & { id: number; revision: number }>(`
    UPDATE product
       SET name = @name, pieces_per_pack = @piecesPerPack, label_words = @labelWords, keeps_months = @keepsMonths,
           revision = revision + 1
     WHERE id = @id AND revision = @revision`);
  const insertProduct = database.prepare<ProductSetting & { entryId: string; kind: ProductKindName }>(`
    INSERT INTO product (entry_id, kind, name, pieces_per_pack, label_words, keeps_months)
    VALUES (@entryId, @kind, @name, @piecesPerPack, @labelWords, @keepsMonths)`);
  const insertPrice = database.prepare<
    Price & { entryId: string; productId: number; fromDay: string | undefined }
  >(`
    INSERT INTO product_price (entry_id, product_id, price_cents, price_unit, from_day)
    VALUES (@entryId, @productId, @priceCents, @priceUnit,
            coalesce(@fromDay, present_day((SELECT time_zone FROM farm))))`);
  const selectPrices = database.prepare<[], DatedPrice>(`
    SELECT id, entry_id AS entryId, product_id AS productId, price_cents AS priceCents, price_unit AS priceUnit,
           from_day AS fromDay
      FROM product_price
     WHERE entry_id IS NULL OR entry_id NOT IN (SELECT entry_id FROM entry_taken_back)
     ORDER BY product_id, from_day DESC, id DESC`);
  const selectShopPrices = database.prepare<[], ShopPrice>(`
    SELECT id, entry_id AS entryId, product_id AS productId, price_cents AS priceCents, price_unit AS priceUnit, kind,
           seen_on AS seenOn, place
      FROM shop_price WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY seen_on DESC, id DESC`);
  const insertShopPrice = database.prepare<Omit<ShopPrice, "id">>(`
    INSERT INTO shop_price (entry_id, product_id, price_cents, price_unit, kind, seen_on, place)
    VALUES (@entryId, @productId, @priceCents, @priceUnit, @kind, @seenOn, @place)`);
  const selectProductOfEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM product WHERE entry_id = ?",
  );
  const selectContainers = database.prepare<[], Container>(`
    SELECT id, entry_id AS entryId, name, tare_milligrams AS tareMilligrams FROM container
     WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back) ORDER BY id`);
  const insertContainer = database.prepare<Omit<Container, "id">>(
    "INSERT INTO container (entry_id, name, tare_milligrams) VALUES (@entryId, @name, @tareMilligrams)",
  );
  const inOrder = (one: Product, other: Product) =>
    PRODUCT_KIND_NAMES.indexOf(one.kind) - PRODUCT_KIND_NAMES.indexOf(other.kind) || one.id - other.id;

  return {
    /** All products, in the order in which a bird is taken apart. */
    products: (): Product[] => selectProducts.all().toSorted(inOrder),
    /**
     * Changes a product, if no one else has since the revision that the person saw. Where its price differs from today's, the new one
     * counts from today, and is kept by the entry.
     */
    saveProduct: database.transaction(
      (
        { entryId, at }: Entry,
        productId: number,
        seenRevision: number,
        { priceCents, priceUnit, ...setting }: ProductSetting & Price,
      ): "saved" | "changed-meanwhile" => {
        const before = selectProducts.all().find(({ id }) => id === productId);
        const { changes } = updateProduct.run({ ...setting, id: productId, revision: seenRevision });
        if (!before || changes !== 1) return "changed-meanwhile";
        if (before.priceCents === priceCents && (priceCents === undefined || before.priceUnit === priceUnit))
          return "saved";
        const price = { priceCents, priceUnit };
        entries.once({ entryId, at }, ["price", productId, price], () => {
          insertPrice.run({ entryId, productId, ...price, fromDay: undefined });
          return undefined;
        });
        return "saved";
      },
    ).immediate,
    /** All prices there ever were, and those that are to come: by product, the latest first. */
    prices: (): DatedPrice[] => selectPrices.all(),
    /** What a product costs from a day on. */
    setPrice: (entry: Entry, productId: number, price: Price & { fromDay: string }): Recorded =>
      entries.once(entry, ["price", productId, price], () => {
        insertPrice.run({ entryId: entry.entryId, productId, ...price });
        return undefined;
      }),
    /** Prices seen in shops, the latest first. */
    shopPrices: (): ShopPrice[] => selectShopPrices.all(),
    addShopPrice: (entry: Entry, seen: Omit<ShopPrice, "id" | "entryId">): Recorded =>
      entries.once(entry, ["shop-price", seen], () => {
        insertShopPrice.run({ entryId: entry.entryId, ...seen });
        return undefined;
      }),
    /** A product of the farm's own, with its price from today. */
    addProduct: (
      entry: Entry,
      { priceCents, priceUnit, ...setting }: ProductSetting & Price,
    ): Recorded<"name-taken"> =>
      entries.once(entry, ["product", setting, priceCents, priceUnit], () => {
        if (selectProducts.all().some(({ name }) => name === setting.name)) return "name-taken";
        insertProduct.run({ entryId: entry.entryId, kind: "own", ...setting });
        const { id: productId } = selectProductOfEntry.get(entry.entryId)!;
        if (priceCents !== undefined)
          insertPrice.run({ entryId: entry.entryId, productId, priceCents, priceUnit, fromDay: undefined });
        return undefined;
      }),

    containers: (): Container[] => selectContainers.all(),
    addContainer: (
      entry: Entry,
      container: Pick<Container, "name" | "tareMilligrams">,
    ): Recorded<"name-taken"> =>
      entries.once(entry, ["container", container], () => {
        if (selectContainers.all().some(({ name }) => name === container.name)) return "name-taken";
        insertContainer.run({ entryId: entry.entryId, ...container });
        return undefined;
      }),
  };
}
