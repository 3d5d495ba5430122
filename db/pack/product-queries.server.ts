import type { Database } from "better-sqlite3";
import type { PriceUnit } from "#core/label/pack-price.ts";
import { PRODUCT_KIND_NAMES, type ProductKindName } from "#core/packing/product-kinds.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** What the farm says of a product; undefined and empty where the usual of its kind stands. */
export interface ProductSetting {
  readonly name: string;
  readonly piecesPerPack: number | undefined;
  readonly priceCents: number | undefined;
  readonly priceUnit: PriceUnit;
  readonly labelWords: string;
  readonly keepsMonths: number | undefined;
}

export interface Product extends ProductSetting {
  readonly id: number;
  readonly kind: ProductKindName;
  readonly revision: number;
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
    SELECT id, kind, name, pieces_per_pack AS piecesPerPack, price_cents AS priceCents, price_unit AS priceUnit,
           label_words AS labelWords, keeps_months AS keepsMonths, revision
      FROM product WHERE entry_id IS NULL OR entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`);
  const updateProduct = database.prepare<ProductSetting & { id: number; revision: number }>(`
    UPDATE product
       SET name = @name, pieces_per_pack = @piecesPerPack, price_cents = @priceCents, price_unit = @priceUnit,
           label_words = @labelWords, keeps_months = @keepsMonths, revision = revision + 1
     WHERE id = @id AND revision = @revision`);
  const insertProduct = database.prepare<ProductSetting & { entryId: string; kind: ProductKindName }>(`
    INSERT INTO product (entry_id, kind, name, pieces_per_pack, price_cents, price_unit, label_words, keeps_months)
    VALUES (@entryId, @kind, @name, @piecesPerPack, @priceCents, @priceUnit, @labelWords, @keepsMonths)`);
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
    /** Changes a product, if no one else has since the revision that the person saw. */
    saveProduct: database.transaction(
      (productId: number, seenRevision: number, setting: ProductSetting): "saved" | "changed-meanwhile" => {
        const { changes } = updateProduct.run({ ...setting, id: productId, revision: seenRevision });
        return changes === 1 ? "saved" : "changed-meanwhile";
      },
    ).immediate,
    /** A product of the farm's own. */
    addProduct: (entry: Entry, setting: ProductSetting): Recorded<"name-taken"> =>
      entries.once(entry, ["product", setting], () => {
        if (selectProducts.all().some(({ name }) => name === setting.name)) return "name-taken";
        insertProduct.run({ entryId: entry.entryId, kind: "own", ...setting });
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
