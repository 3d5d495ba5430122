import { Link } from "react-router";
import { requireCustomer } from "#app/orders/people/require-customer.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { CUSTOMER_WORDS } from "#app/words/customer-words.ts";
import { PAYMENT_WORDS, RHYTHM_WORDS } from "#app/words/order-words.ts";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/customer.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.customer.name ?? "Customer"} · Pale Morning` },
];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const customer = requireCustomer(here, params.customerId);
  const isTheirs = ({ customerId }: { customerId: number | undefined }) => customerId === customer.id;
  return {
    customer,
    owedCents: here.file.selling.owed().find(isTheirs)?.owedCents ?? 0,
    orders: here.file.ordering.orders().filter(isTheirs),
    sales: here.file.selling.salesTo(customer.id),
    payments: here.file.selling.paymentsBy(customer.id),
  };
}

/** Somebody's orders, what they took, and what they owe. */
export default function CustomerPage({ loaderData }: Route.ComponentProps) {
  const { customer, owedCents } = loaderData;
  const show = useShow();
  return (
    <Page isWide>
      <PageHead title={customer.name} line={CUSTOMER_WORDS[customer.kind]}>
        <div className="flex flex-wrap gap-3 print:hidden">
          <ButtonLink kind="plain" to={`/orders/customers/${customer.id}/change`}>
            Change
          </ButtonLink>
          <ButtonLink kind="plain" to={`/orders/customers/${customer.id}/forget`}>
            Forget
          </ButtonLink>
          <ButtonLink kind="plain" to={`/orders/sell?customer=${customer.id}`}>
            Sell packs
          </ButtonLink>
          <ButtonLink to={`/orders/new?customer=${customer.id}`}>Add an order</ButtonLink>
        </div>
      </PageHead>
      {customer.isRemoved && <Notice tone="plain">They are no longer on the list of customers.</Notice>}
      {(customer.contact || customer.note) && (
        <p>{[customer.contact, customer.note].filter(Boolean).join(" · ")}</p>
      )}
      <p className="font-display text-xl">
        {owedCents > 0 && `Owes ${show.money(owedCents)}`}
        {owedCents < 0 && `${show.money(-owedCents)} paid ahead`}
        {owedCents === 0 && "Nothing owed"}
      </p>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Orders {...loaderData} />
        <Sales {...loaderData} />
        <Payments {...loaderData} />
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Orders({ orders, customer }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Orders">
      {orders.length === 0 && <p>None. An order says what they want and when, once or again and again.</p>}
      <ul>
        {orders.map((order) => (
          <li key={order.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <Link to={`/orders/${order.id}`} className="lone-link">
              {RHYTHM_WORDS[order.rhythm].replace(/^./, (first) => first.toUpperCase())},{" "}
              {order.rhythm === "once" ? "for" : "from"} {show.shortDay(order.firstOn)}
            </Link>
            <RemoveButton
              entryId={order.entryId}
              back={`/orders/customers/${customer.id}`}
              what={`order of ${show.shortDay(order.firstOn)}`}
            />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function Sales({ sales }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="What they took">
      {sales.length === 0 ? (
        <p>Nothing yet.</p>
      ) : (
        <DataTable
          caption="Sales"
          columns={[
            {
              head: "Day",
              cell: ({ id, soldOn }) => (
                <Link to={`/orders/sales/${id}`} className="lone-link">
                  {show.shortDay(soldOn)}
                </Link>
              ),
            },
            { head: "Packs", isNumber: true, cell: ({ packs }) => show.count(packs) },
            {
              head: "Amount",
              isNumber: true,
              cell: ({ totalCents, creditCents }) => show.money(totalCents - creditCents),
            },
          ]}
          rows={sales}
          keyOf={({ id }) => id}
        />
      )}
    </Sheet>
  );
}

function Payments({ payments, customer }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Payments" beside={payments.length > 0 && plural(payments.length, "payment")}>
      <ul>
        {payments.map((payment) => (
          <li key={payment.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <span>
              {show.shortDay(payment.paidOn)}, {PAYMENT_WORDS[payment.how].toLowerCase()}
              {payment.orderId !== undefined && payment.saleId === undefined && ", deposit"}
            </span>
            <span className="flex items-baseline gap-2 font-mono">
              {show.money(payment.amountCents)}
              {payment.saleId === undefined && (
                <RemoveButton
                  entryId={payment.entryId}
                  back={`/orders/customers/${customer.id}`}
                  what={`payment of ${show.shortDay(payment.paidOn)}`}
                />
              )}
            </span>
          </li>
        ))}
      </ul>
      <ButtonLink kind="plain" to={`/orders/pay?customer=${customer.id}`} className="my-2 print:hidden">
        Record a payment
      </ButtonLink>
    </Sheet>
  );
}
