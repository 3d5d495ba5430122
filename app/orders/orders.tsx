import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { type OrderTime, ordersNow } from "#app/server/order/orders-now.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { fillWords, orderLineWords, RHYTHM_WORDS } from "#app/words/order-words.ts";
import { plural } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { Route } from "./+types/orders.ts";

export const meta = () => [{ title: "Orders · Pale Morning" }];

/** Sales of so many days are shown beside the orders. */
const LATELY_DAYS = 30;

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { selling, customers, ordering } = here.file;
  const today = localDayOf(here.now(), farm.timeZone);
  const names = new Map(customers.all().map(({ id, name }) => [id, name]));
  return {
    times: ordersNow(here, farm),
    owed: selling
      .owed()
      .filter(({ owedCents }) => owedCents > 0)
      .map((one) => ({ ...one, name: names.get(one.customerId) ?? "" })),
    closed: ordering
      .closed()
      .slice(-MOST_CLOSED)
      .toReversed()
      .map((one) => ({
        ...one,
        name: ordering.orders().find(({ id }) => id === one.orderId)?.customerName ?? "a removed order",
      })),
    sales: selling
      .sales(addDays(today, -LATELY_DAYS), today)
      .slice(0, 8)
      .map((sale) => ({
        ...sale,
        name: sale.customerId === undefined ? "At the stand" : names.get(sale.customerId)!,
      })),
  };
}

const MOST_CLOSED = 5;

/** Who wants what, the soonest first, and whether it can be filled. */
export default function Orders({ loaderData }: Route.ComponentProps) {
  const { times } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Orders" line="who wants what, and what can be filled">
        <nav aria-label="More about orders" className="flex flex-wrap gap-3 print:hidden">
          <ButtonLink kind="plain" to="/orders/customers">
            Customers
          </ButtonLink>
          <ButtonLink kind="plain" to="/orders/prices">
            Prices
          </ButtonLink>
          <ButtonLink kind="plain" to="/orders/picking">
            Picking list
          </ButtonLink>
          <ButtonLink kind="plain" to="/orders/takings">
            Takings
          </ButtonLink>
          <ButtonLink kind="plain" to="/orders/sell">
            Sell packs
          </ButtonLink>
          <ButtonLink to="/orders/new">Add an order</ButtonLink>
        </nav>
      </PageHead>
      {times.length === 0 && (
        <EmptyPlace heading="No open orders" action={<ButtonLink to="/orders/new">Add an order</ButtonLink>}>
          <p>
            Write down who wants what and by when, once or every month. This page then says what is in the
            freezers for them, what the next processing days will likely bring, and what will be short.
          </p>
        </EmptyPlace>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-3">
        {times.length > 0 && (
          <Sheet heading="To hand over" beside="the soonest first" className="lg:col-span-2">
            <ul>
              {times.map((time) => (
                <TimeRow key={time.key} time={time} />
              ))}
            </ul>
          </Sheet>
        )}
        <div className="grid gap-5">
          <Owed {...loaderData} />
          <Lately {...loaderData} />
          <Closed {...loaderData} />
        </div>
      </div>
    </Page>
  );
}

function TimeRow({ time }: { time: OrderTime }) {
  const show = useShow();
  const { order, wantedOn, isLate, lines } = time;
  return (
    <li className="border-b border-rule py-2 last:border-b-0">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <Link to={`/orders/${order.id}?on=${wantedOn}`} className="lone-link font-display text-lg">
          {order.customerName}
        </Link>
        <span>
          {show.shortDay(wantedOn)}
          {order.rhythm !== "once" && `, ${RHYTHM_WORDS[order.rhythm]}`}
          {isLate && <b className="text-barn"> · late</b>}
        </span>
      </p>
      {lines.map((line) => (
        <p key={line.id}>
          {orderLineWords(line, show)}
          <span className={`block text-sm ${line.fill.missing > 0 ? "text-barn" : "text-soft"}`}>
            {fillWords(line.fill, line.packs, show).join(" ")}
          </span>
        </p>
      ))}
    </li>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Owed({ owed }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="Owed to you">
      {owed.length === 0 && <p>Nothing.</p>}
      <ul>
        {owed.map(({ customerId, name, owedCents }) => (
          <li key={customerId} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <Link to={`/orders/customers/${customerId}`} className="lone-link">
              {name}
            </Link>
            <span className="font-mono">{show.money(owedCents)}</span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Orders that were closed last, so that a slip can be undone. Those handed over are undone with their sale. */
function Closed({ closed }: Loaded) {
  const show = useShow();
  if (closed.length === 0) return null;
  return (
    <Sheet heading="Closed recently" className="print:hidden">
      <ul>
        {closed.map(({ entryId, name, wantedOn, how }) => (
          <li key={entryId} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <span>
              {name}, {show.shortDay(wantedOn)}: {how === "left-out" ? "skipped" : "handed over"}
            </span>
            {how === "left-out" && (
              <RemoveButton
                entryId={entryId}
                back="/orders"
                what={`skipping ${name}, ${show.shortDay(wantedOn)}`}
                verb="undo"
              />
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function Lately({ sales }: Loaded) {
  const show = useShow();
  if (sales.length === 0) return null;
  return (
    <Sheet heading="Sold recently">
      <ul>
        {sales.map((sale) => (
          <li key={sale.id} className="flex items-baseline justify-between gap-3 border-b border-rule">
            <Link to={`/orders/sales/${sale.id}`} className="lone-link">
              {show.shortDay(sale.soldOn)}, {sale.name}
            </Link>
            <span className="text-right">
              {plural(sale.packs, "pack")}{" "}
              <span className="font-mono">{show.money(sale.totalCents - sale.creditCents)}</span>
            </span>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
