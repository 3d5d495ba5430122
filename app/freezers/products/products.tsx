import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRICE_UNIT_WORDS, productName } from "#app/words/packing/product-words.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Route } from "./+types/products.ts";

export const meta = () => [{ title: "Products · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { products: here.file.catalog.products() };
}

/** Everything that the farm can make of a bird, with what goes into a pack, what it costs and how long it keeps. */
export default function Products({ loaderData: { products } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Products" line="what a bird becomes, in the order it is taken apart">
        <div className="flex flex-wrap gap-3">
          <ButtonLink kind="plain" to="/freezers/containers">
            Containers
          </ButtonLink>
          <ButtonLink to="/freezers/products/new">Add a product</ButtonLink>
        </div>
      </PageHead>
      <Sheet heading="Products" beside="Tap one to set its price, its pack, and its label">
        <DataTable
          className="text-base"
          caption="Products"
          columns={[
            {
              head: "Product",
              cell: (product) => (
                <Link to={`/freezers/products/${product.id}`} className="lone-link">
                  {productName(product)}
                </Link>
              ),
            },
            { head: "In a pack", isNumber: true, cell: (product) => packInWords(product, show) },
            {
              head: "Price",
              isNumber: true,
              cell: ({ priceCents, priceUnit }) =>
                priceCents === undefined ? "–" : `${show.money(priceCents)} ${PRICE_UNIT_WORDS[priceUnit]}`,
            },
            {
              head: "Keeps",
              isNumber: true,
              isWideOnly: true,
              cell: ({ kind, keepsMonths }) => `${keepsMonths ?? productKind(kind).keepsMonths} months`,
            },
          ]}
          rows={products}
          keyOf={({ id }) => id}
        />
      </Sheet>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"]["products"][number];

function packInWords({ kind, piecesPerPack }: Loaded, show: ReturnType<typeof useShow>): string {
  const { pack } = productKind(kind);
  if ("pieces" in pack) return show.count(piecesPerPack ?? pack.pieces);
  return "liters" in pack ? show.filled(pack.liters * 1000) : "by weight";
}
