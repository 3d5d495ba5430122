import { redirect } from "react-router";
import { ChoosePacks } from "#app/orders/sell/choose-packs.tsx";
import { packOfCode, packsFound, packsToSell } from "#app/orders/sell/packs-to-sell.server.ts";
import { PayForPacks } from "#app/orders/sell/pay-for-packs.tsx";
import { packIdsIn, sellForm } from "#app/orders/sell/sell-form.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ordersNow } from "#app/server/order/orders-now.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { Page, PageHead } from "#app/ui/sheet.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";
import { allot } from "#core/cost/allot.ts";
import { cents } from "#core/quantity/quantity.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/sell.ts";

export const meta = () => [{ title: "Sell packs · Pale Morning" }];

const MOST_FIND = 80;

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { searchParams } = new URL(request.url);
  const all = packsToSell(here);
  const find = (searchParams.get("find") ?? "").trim().slice(0, MOST_FIND);
  const scanned = packOfCode(all, find);
  const time = orderTimeOf(here, farm, searchParams);
  // Packs that were ticked in a freezer come one by one.
  const ticked = searchParams.getAll("packId");
  const asked = searchParams.get("packs") ?? (ticked.length > 0 ? ticked.join() : null);
  const ids = asked === null ? (time?.lines.flatMap(({ fill }) => fill.packIds) ?? []) : packIdsIn(asked);
  const chosen = [...new Set([...ids, ...(scanned ? [scanned.id] : [])])].flatMap(
    (id) => all.find((pack) => pack.id === id) ?? [],
  );
  const others = all.filter(({ id }) => !chosen.some((pack) => pack.id === id));
  const customers = here.file.customers.all().filter(({ isRemoved }) => !isRemoved);
  const customer = time?.order.customerId ?? Number(searchParams.get("customer") ?? 0);
  return {
    isPaying: searchParams.get("step") === "pay" && chosen.length > 0,
    chosen,
    // What was asked for and is not in stock any more: sold on another phone.
    goneCount: ids.length - ids.filter((id) => all.some((pack) => pack.id === id)).length,
    found: packsFound(others, scanned ? "" : find),
    inStock: all.length,
    find: scanned ? "" : find,
    // What was agreed on before, such as a household's part of the cost.
    agreedCents: /^\d{1,8}$/.test(searchParams.get("total") ?? "")
      ? Number(searchParams.get("total"))
      : undefined,
    customers,
    customer: customers.find(({ id }) => id === customer),
    order: time && { id: time.order.id, wantedOn: time.wantedOn },
    today: localDayOf(here.now(), farm.timeZone),
    entryId: newEntryId(),
  };
}

/** The order, and its day, that packs are handed over for. */
function orderAsked({ file }: FarmContext, asked: URLSearchParams) {
  const orderId = Number(asked.get("order") ?? 0);
  const wantedOn = asked.get("on") ?? "";
  const isThere = isLocalDay(wantedOn) && file.ordering.orders().some(({ id }) => id === orderId);
  return isThere ? { orderId, wantedOn } : undefined;
}

/** The same with what is set aside for it. */
function orderTimeOf(here: FarmContext, farm: Farm, search: URLSearchParams) {
  const asked = orderAsked(here, search);
  return (
    asked &&
    ordersNow(here, farm).find((time) => time.order.id === asked.orderId && time.wantedOn === asked.wantedOn)
  );
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, sellForm);
  if (!sent.ok) return sent.refusal;
  const { packs: ids, total, customerId, paid, soldOn, note } = sent.value;
  const time = orderAsked(here, new URL(request.url).searchParams);
  const all = packsToSell(here);
  const prices = ids.map((id) => all.find((pack) => pack.id === id)?.cents ?? 0);
  const shares = allot(cents(total), prices.some((price) => price > 0) ? prices : ids.map(() => 1));
  const outcome = here.file.selling.sell(
    sent.entry,
    { customerId, orderId: time?.orderId, soldOn, note: note ?? "" },
    ids.map((packId, index) => ({ packId, cents: shares[index]! })),
    { paid: paid === "later" ? undefined : { amountCents: total, how: paid }, closes: time?.wantedOn },
  );
  const faults = faultsOf(outcome, {
    "not-in-store": {
      packs:
        "One of these packs was sold or taken out on another phone. Nothing was sold. Choose the packs again",
    },
    "customer-removed": { customerId: "They were taken off the list of customers. Choose someone else" },
  });
  return faults
    ? sent.refuse(faults)
    : redirect(`/orders/sales/${here.file.selling.ofEntry(sent.entry.entryId)}`, 303);
}

/** Packs leave the freezers for money: chosen or scanned first, then paid for. */
export default function Sell({ loaderData, actionData }: Route.ComponentProps) {
  const { isPaying, customer, order } = loaderData;
  return (
    <Page>
      <PageHead
        title={order ? "Hand over an order" : "Sell packs"}
        line={customer ? customer.name : "at the gate, at the market, wherever you are"}
      />
      {isPaying ? <PayForPacks loaded={loaderData} refusal={actionData} /> : <ChoosePacks {...loaderData} />}
    </Page>
  );
}
