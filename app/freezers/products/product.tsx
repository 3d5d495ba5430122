import { data, redirect } from "react-router";
import { ProductFields } from "#app/freezers/products/product-fields.tsx";
import { productForm } from "#app/freezers/products/product-form.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { productName } from "#app/words/packing/product-words.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Product } from "#db/pack/product-queries.server.ts";
import type { Route } from "./+types/product.ts";

export const meta = () => [{ title: "Product · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { product: requireProduct(here, params.productId), entryId: newEntryId() };
}

/** @throws a 404 page if there is no such product */
function requireProduct(here: FarmContext, text: string | undefined): Product {
  const id = idFrom(text, "product");
  const product = here.file.catalog.products().find((one) => one.id === id);
  if (!product) throw data("That product does not exist.", { status: 404 });
  return product;
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const product = requireProduct(here, params.productId);
  const sent = await submitted(here, request, productForm(product.kind === "own"));
  if (!sent.ok) return sent.refusal;
  const { revision, ...setting } = sent.value;
  if (
    here.file.catalog.saveProduct(sent.entry, product.id, revision ?? product.revision, setting) ===
    "changed-meanwhile"
  )
    return sent.refuse({
      "": "Someone changed this product meanwhile. Reload the page to see what they saved",
    });
  return redirect("/freezers/products", 303);
}

export default function EditProduct({ loaderData, actionData }: Route.ComponentProps) {
  const { product, entryId } = loaderData;
  const show = useShow();
  const { basis } = productKind(product.kind);
  const usualUnit = basis === "volume" ? (show.isUs ? "quart" : "liter") : show.isUs ? "pound" : "kilogram";
  return (
    <Page>
      <PageHead title={productName(product)} />
      <Sheet heading="Product" className="max-w-prose">
        <FarmForm
          schema={productForm(product.kind === "own")}
          refusal={actionData}
          entryId={entryId}
          defaults={{
            revision: String(product.revision),
            name: product.name,
            piecesPerPack: product.piecesPerPack?.toString(),
            priceCents: product.priceCents === undefined ? "" : (product.priceCents / 100).toFixed(2),
            priceUnit:
              product.priceCents === undefined ? (basis === "pack" ? "pack" : usualUnit) : product.priceUnit,
            labelWords: product.labelWords,
            keepsMonths: product.keepsMonths?.toString(),
          }}
          submit="Save product"
        >
          {(fields) => (
            <>
              <input type="hidden" name="revision" value={product.revision} />
              <ProductFields fields={fields} kind={product.kind} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
