import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { wantedOn } from "#core/orders/order-dates.ts";
import type { OrderFacts, OrderLineFacts } from "#db/order/order-queries.server.ts";

/**
 * Says where an order asks for more birds than the farm's limit of a year allows, with what is promised for that year already;
 * undefined where it fits.
 *
 * @param orderId of the order that the line is added to; undefined for a new one
 */
export function pastYearlyLimit(
  { file }: FarmContext,
  order: Pick<OrderFacts, "firstOn" | "rhythm" | "until">,
  line: Pick<OrderLineFacts, "productId" | "packs">,
): string | undefined {
  const limit = file.season.setting().yearlyCapCount;
  const birds = file.catalog.products().filter(({ kind }) => kind === "whole-bird" || kind === "cut-up-bird");
  const isBird = ({ productId }: Pick<OrderLineFacts, "productId">) =>
    birds.some(({ id }) => id === productId);
  if (limit === undefined || line.packs === undefined || !isBird(line)) return undefined;
  const year = order.firstOn.slice(0, 4);
  const times = (one: Pick<OrderFacts, "firstOn" | "rhythm" | "until">) =>
    wantedOn(one, `${year}-12-31`).filter((day) => day.startsWith(year)).length;
  const lines = file.ordering.lines().filter(isBird);
  const promised = file.ordering
    .orders()
    .reduce(
      (sum, one) =>
        sum +
        times(one) *
          lines.filter(({ orderId }) => orderId === one.id).reduce((packs, of) => packs + (of.packs ?? 0), 0),
      0,
    );
  const asked = line.packs * times(order);
  if (promised + asked <= limit) return undefined;
  return `That would promise ${promised + asked} birds for ${year}; your limit is ${limit} a year. Take fewer, or correct the limit under Season, Rules`;
}
