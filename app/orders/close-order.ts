import { data, redirect } from "react-router";
import { requireOrder } from "#app/orders/require-order.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";
import { ORDER_ENDS } from "#db/order/order-queries.server.ts";
import type { Route } from "./+types/close-order.ts";

/** Ends one time of an order: it was handed over as far as it could be, or is left out. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const order = requireOrder(here, params.orderId);
  const fields = await formFields(request);
  const [entryId, wantedOn, how] = ["entryId", "wantedOn", "how"].map((name) =>
    String(fields.get(name) ?? ""),
  );
  const end = ORDER_ENDS.find((one) => one === how);
  if (!isEntryId(entryId!) || !isLocalDay(wantedOn!) || end === undefined)
    throw data("Choose which day of the order is done. Go back and try again.", { status: 400 });
  here.file.ordering.close(
    { entryId: entryId!, at: here.now() },
    { orderId: order.id, wantedOn: wantedOn!, how: end },
  );
  return redirect("/orders", 303);
}
