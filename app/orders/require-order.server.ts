import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Order } from "#db/order/order-queries.server.ts";

/** @throws a 404 page if there is no such order */
export function requireOrder({ file }: FarmContext, text: string | undefined): Order {
  const id = idFrom(text, "order");
  const order = file.ordering.orders().find((one) => one.id === id);
  if (!order)
    throw data("That order does not exist, or was removed. Removals can be undone in History.", {
      status: 404,
    });
  return order;
}
