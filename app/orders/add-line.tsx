import { redirect } from "react-router";
import { orderLineForm } from "#app/orders/order-form.ts";
import { OrderLineFields } from "#app/orders/order-line-fields.tsx";
import { pastYearlyLimit } from "#app/orders/promised.server.ts";
import { requireOrder } from "#app/orders/require-order.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { productName } from "#app/words/packing/product-words.ts";
import type { Route } from "./+types/add-line.ts";

export const meta = () => [{ title: "Add to an order · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return {
    order: requireOrder(here, params.orderId),
    unitSystem: farm.unitSystem,
    products: here.file.catalog.products().map((product) => ({ id: product.id, name: productName(product) })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const order = requireOrder(here, params.orderId);
  const sent = await submitted(here, request, orderLineForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { productId, packs, least, most } = sent.value;
  const line = { productId, packs, leastMilligrams: least, mostMilligrams: most };
  const isNew = !here.file.knowsEntry(sent.entry.entryId);
  const past = isNew ? pastYearlyLimit(here, order, line) : undefined;
  if (past) return sent.refuse({ packs: past });
  const faults = faultsOf(here.file.ordering.addLine(sent.entry, order.id, line), {
    "order-removed": { "": "This order was removed meanwhile. Go back to Orders" },
    "product-removed": { productId: "That product was removed. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect(`/orders/${order.id}`, 303);
}

/** Another product on an order. */
export default function AddLine({ loaderData, actionData }: Route.ComponentProps) {
  const { order, unitSystem, products, entryId } = loaderData;
  return (
    <Page>
      <PageHead title="Add to the order" line={order.customerName} />
      <Sheet heading="Product" className="max-w-prose">
        <FarmForm
          schema={orderLineForm(unitSystem)}
          refusal={actionData}
          entryId={entryId}
          defaults={{ productId: String(products[0]?.id ?? "") }}
          submit="Add to the order"
        >
          {(fields) => <OrderLineFields fields={fields} products={products} />}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
