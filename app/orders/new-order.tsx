import { redirect } from "react-router";
import { orderForm } from "#app/orders/order-form.ts";
import { OrderLineFields } from "#app/orders/order-line-fields.tsx";
import { pastYearlyLimit } from "#app/orders/promised.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { RHYTHM_WORDS } from "#app/words/order-words.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { ORDER_RHYTHMS } from "#core/orders/order-dates.ts";
import type { Route } from "./+types/new-order.ts";

export const meta = () => [{ title: "Add an order · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return {
    unitSystem: farm.unitSystem,
    customers: here.file.customers.all().filter(({ isRemoved }) => !isRemoved),
    customerId: new URL(request.url).searchParams.get("customer") ?? "",
    products: here.file.catalog.products().map((product) => ({ id: product.id, name: productName(product) })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const sent = await submitted(here, request, orderForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { customerId, firstOn, rhythm, until, note, productId, packs, least, most } = sent.value;
  const order = {
    customerId,
    orderedOn: localDayOf(here.now(), farm.timeZone),
    firstOn,
    rhythm,
    until: rhythm === "once" ? undefined : until,
    note: note ?? "",
  };
  const line = { productId, packs, leastMilligrams: least, mostMilligrams: most };
  const isNew = !here.file.knowsEntry(sent.entry.entryId);
  const past = isNew ? pastYearlyLimit(here, order, line) : undefined;
  if (past) return sent.refuse({ packs: past });
  const faults = faultsOf(here.file.ordering.add(sent.entry, order, line), {
    "customer-removed": { customerId: "They were taken off the list of customers. Choose someone else" },
    "product-removed": { productId: "That product was removed. Choose another" },
  });
  return faults
    ? sent.refuse(faults)
    : redirect(`/orders/${here.file.ordering.ofEntry(sent.entry.entryId)}`, 303);
}

const RHYTHMS = ORDER_RHYTHMS.map((value) => ({
  value,
  label: RHYTHM_WORDS[value].replace(/^./, (first) => first.toUpperCase()),
}));

/** Who wants what, by when, once or again and again. */
export default function NewOrder({ loaderData, actionData }: Route.ComponentProps) {
  const { unitSystem, customers, customerId, products, entryId } = loaderData;
  return (
    <Page>
      <PageHead title="Add an order" />
      {customers.length === 0 ? (
        <EmptyPlace
          heading="Who is it for?"
          action={<ButtonLink to="/orders/customers">Add a customer</ButtonLink>}
        >
          <p>Add the first customer, then come back to write down what they want.</p>
        </EmptyPlace>
      ) : (
        <Sheet heading="Order" className="max-w-prose">
          <FarmForm
            schema={orderForm(unitSystem)}
            refusal={actionData}
            entryId={entryId}
            defaults={{ rhythm: "once", customerId, productId: String(products[0]?.id ?? "") }}
            submit="Save order"
          >
            {(fields) => (
              <>
                <SelectField
                  field={fields.customerId}
                  label="For"
                  options={[
                    { value: "", label: "Choose" },
                    ...customers.map(({ id, name }) => ({ value: String(id), label: name })),
                  ]}
                />
                <OrderLineFields fields={fields} products={products} />
                <TextField field={fields.firstOn} label="Wanted on" type="date" />
                <ChoiceField field={fields.rhythm} label="How often" options={RHYTHMS} />
                <TextField
                  field={fields.until}
                  label="Last day"
                  hint="Of an order that comes again. Leave empty if it has no end"
                  type="date"
                />
                <TextField field={fields.note} label="Note" hint="Such as: necks in the bag, please" />
              </>
            )}
          </FarmForm>
        </Sheet>
      )}
    </Page>
  );
}
