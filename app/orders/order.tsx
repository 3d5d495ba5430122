import { Form, Link } from "react-router";
import { requireOrder } from "#app/orders/require-order.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { type OrderTime, ordersNow } from "#app/server/order/orders-now.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { fillWords, orderLineWords, PAYMENT_WORDS, RHYTHM_WORDS } from "#app/words/order-words.ts";
import type { Route } from "./+types/order.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Order of ${loaderData?.order.customerName ?? "a customer"} · Pale Morning` },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const order = requireOrder(here, params.orderId);
  const times = ordersNow(here, farm).filter((time) => time.order.id === order.id);
  const asked = new URL(request.url).searchParams.get("on");
  return {
    order,
    time: times.find(({ wantedOn }) => wantedOn === asked) ?? times[0],
    others: times,
    lines: here.file.ordering.lines().filter(({ orderId }) => orderId === order.id),
    payments: here.file.selling.paymentsForOrder(order.id),
    sales: here.file.selling.salesOfOrder(order.id),
    entryId: newEntryId(),
  };
}

/** One order: what is wanted next, what can be filled of it, and what became of it. */
export default function OrderPage({ loaderData }: Route.ComponentProps) {
  const { order, time } = loaderData;
  const show = useShow();
  return (
    <Page isWide>
      <PageHead
        title={order.customerName}
        line={
          order.rhythm === "once"
            ? `order for ${show.longDay(order.firstOn)}`
            : `order ${RHYTHM_WORDS[order.rhythm]} from ${show.shortDay(order.firstOn)}${order.until ? ` until ${show.shortDay(order.until)}` : ""}`
        }
      >
        <div className="flex flex-wrap gap-3 print:hidden">
          <ButtonLink kind="plain" to={`/orders/${order.id}/line`}>
            Add a product
          </ButtonLink>
          <ButtonLink kind="plain" to={`/orders/pay?order=${order.id}`}>
            Record a deposit
          </ButtonLink>
        </div>
      </PageHead>
      {order.note && <Notice tone="plain">{order.note}</Notice>}
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <div className="grid gap-5 lg:col-span-2">
          {time ? <Next time={time} entryId={loaderData.entryId} /> : <Done />}
          <Others {...loaderData} />
        </div>
        <div className="grid gap-5">
          <Products {...loaderData} />
          <Money {...loaderData} />
        </div>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

/** The time of the order that is looked at. */
function Next({ time, entryId }: { time: OrderTime; entryId: string }) {
  const show = useShow();
  const { order, wantedOn, lines, isLate } = time;
  const ready = lines.reduce((sum, { fill }) => sum + fill.packIds.length, 0);
  return (
    <Sheet heading={`For ${show.longDay(wantedOn)}`} beside={isLate && <b className="text-barn">late</b>}>
      <ul>
        {lines.map((line) => (
          <li key={line.id} className="border-b border-rule py-2">
            <b>{orderLineWords(line, show)}</b>
            {fillWords(line.fill, line.packs, show).map((words) => (
              <p key={words} className={line.fill.missing > 0 && words.includes("short") ? "text-barn" : ""}>
                {words}
              </p>
            ))}
          </li>
        ))}
        {lines.length === 0 && <li className="py-2">Nothing is on this order. Add a product.</li>}
      </ul>
      <div className="flex flex-wrap gap-3 py-3 print:hidden">
        {ready > 0 && <ButtonLink to={`/orders/sell?order=${order.id}&on=${wantedOn}`}>Hand over</ButtonLink>}
        <Form method="post" action={`/orders/${order.id}/close`}>
          <input type="hidden" name="entryId" value={entryId} />
          <input type="hidden" name="wantedOn" value={wantedOn} />
          <Button kind="plain" name="how" value="left-out">
            {order.rhythm === "once" ? "Close without filling it" : "Skip this time"}
          </Button>
        </Form>
      </div>
    </Sheet>
  );
}

const Done = () => (
  <Sheet heading="Done">
    <p>Everything on this order is done.</p>
  </Sheet>
);

function Others({ others, order, time }: Loaded) {
  const show = useShow();
  const rest = others.filter(({ key }) => key !== time?.key);
  if (rest.length === 0) return null;
  return (
    <Sheet heading="Its other dates">
      <ul>
        {rest.map(({ wantedOn, lines }) => (
          <li key={wantedOn} className="border-b border-rule">
            <Link to={`/orders/${order.id}?on=${wantedOn}`} className="lone-link">
              {show.longDay(wantedOn)}
            </Link>{" "}
            {lines.some(({ fill }) => fill.missing > 0) && (
              <span className="text-barn">something is short</span>
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function Products({ lines, others, order }: Loaded) {
  const show = useShow();
  const names = new Map(others.flatMap((time) => time.lines.map((line) => [line.id, line.product])));
  return (
    <Sheet heading="What is on it">
      <ul>
        {lines.map((line) => {
          const words = orderLineWords({ ...line, product: names.get(line.id) ?? "product" }, show);
          return (
            <li key={line.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
              {words}
              {lines.length > 1 && (
                <RemoveButton entryId={line.entryId} back={`/orders/${order.id}`} what={words} />
              )}
            </li>
          );
        })}
      </ul>
      <RemoveButton
        entryId={order.entryId}
        back="/orders"
        what={`order of ${order.customerName}`}
        verb="remove this order"
      />
    </Sheet>
  );
}

function Money({ payments, sales, order }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Handed over and paid">
      {payments.length + sales.length === 0 && <p>Nothing yet.</p>}
      <ul>
        {sales.map((sale) => (
          <li key={sale.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <Link to={`/orders/sales/${sale.id}`} className="lone-link">
              Handed over {show.shortDay(sale.soldOn)}
            </Link>
            <span className="font-mono">{show.money(sale.totalCents - sale.creditCents)}</span>
          </li>
        ))}
        {payments.map((payment) => (
          <li key={payment.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <span>
              {payment.saleId === undefined ? "Deposit" : "Paid"} {show.shortDay(payment.paidOn)},{" "}
              {PAYMENT_WORDS[payment.how].toLowerCase()}
            </span>
            <span className="flex items-baseline gap-2 font-mono">
              {show.money(payment.amountCents)}
              {payment.saleId === undefined && (
                <RemoveButton entryId={payment.entryId} back={`/orders/${order.id}`} what="this deposit" />
              )}
            </span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
