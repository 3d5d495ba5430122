import { Link, redirect } from "react-router";
import { CustomerFields } from "#app/orders/people/customer-fields.tsx";
import { customerForm } from "#app/orders/people/customer-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { CUSTOMER_WORDS } from "#app/words/customer-words.ts";
import type { Route } from "./+types/customers.ts";

export const meta = () => [{ title: "Customers · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const owed = new Map(here.file.selling.owed().map((one) => [one.customerId, one.owedCents]));
  const open = here.file.ordering.orders();
  return {
    customers: here.file.customers
      .all()
      .filter(({ isRemoved }) => !isRemoved)
      .map((customer) => ({
        ...customer,
        owedCents: owed.get(customer.id) ?? 0,
        orders: open.filter(({ customerId }) => customerId === customer.id).length,
      })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, customerForm);
  if (!sent.ok) return sent.refusal;
  const { revision: _none, ...customer } = sent.value;
  const faults = faultsOf(here.file.customers.add(sent.entry, customer), {
    "name-taken": { name: `${customer.name} is already on the list` },
  });
  return faults ? sent.refuse(faults) : redirect("/orders/customers", 303);
}

/** Everyone who takes birds. */
export default function Customers({ loaderData: { customers, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Customers" line="everyone who takes birds, and how to reach them" />
      {customers.length === 0 && (
        <EmptyPlace heading="Who takes your birds?">
          <p>
            Add the people you sell to, the inn, the households that raise with you. Then their orders, what
            they took, and what they owe are in one place.
          </p>
        </EmptyPlace>
      )}
      {customers.length > 0 && (
        <Sheet heading="Everyone">
          <ul>
            {customers.map((customer) => (
              <CustomerRow key={customer.id} customer={customer} />
            ))}
          </ul>
        </Sheet>
      )}
      <Sheet heading="Add a customer" className="max-w-prose print:hidden">
        <FarmForm
          key={customers.length}
          schema={customerForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{ kind: "customer" }}
          submit="Add customer"
        >
          {(fields) => <CustomerFields fields={fields} />}
        </FarmForm>
      </Sheet>
    </Page>
  );
}

type Row = Route.ComponentProps["loaderData"]["customers"][number];

function CustomerRow({ customer }: { customer: Row }) {
  const show = useShow();
  const { id, name, kind, contact, owedCents, orders, entryId } = customer;
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-2 last:border-b-0">
      <span>
        <Link to={`/orders/customers/${id}`} className="lone-link font-display text-lg">
          {name}
        </Link>
        <span className="block text-sm text-soft">
          {[CUSTOMER_WORDS[kind], contact, orders > 0 && (orders === 1 ? "1 order" : `${orders} orders`)]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </span>
      <span className="flex items-baseline gap-3">
        {owedCents !== 0 && (
          <span className="font-mono">
            {owedCents > 0 ? `owes ${show.money(owedCents)}` : `${show.money(-owedCents)} in hand`}
          </span>
        )}
        <RemoveButton entryId={entryId} back="/orders/customers" what={name} />
      </span>
    </li>
  );
}
