import { redirect } from "react-router";
import { ProductFields } from "#app/freezers/products/product-fields.tsx";
import { productForm } from "#app/freezers/products/product-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/add-product.ts";

export const meta = () => [{ title: "Add a product · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  requireFarm(context.get(farmContext));
  return { entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, productForm(true));
  if (!sent.ok) return sent.refusal;
  const { revision: _none, ...setting } = sent.value;
  const faults = faultsOf(here.file.catalog.addProduct(sent.entry, setting), {
    "name-taken": { name: "A product has that name already. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers/products", 303);
}

export default function AddProduct({ loaderData, actionData }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Add a product" />
      <Sheet heading="Product of our own" className="max-w-prose">
        <FarmForm
          schema={productForm(true)}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ priceUnit: show.isUs ? "pound" : "kilogram" }}
          submit="Add product"
        >
          {(fields) => <ProductFields fields={fields} kind="own" />}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
