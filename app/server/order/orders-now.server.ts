import { restDaysOf } from "#app/server/day/rest-days.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { fillOrdersInPool } from "#app/server/pooled/sums.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, laterOf } from "#core/calendar/local-day.ts";
import { USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { comingPacks } from "#core/day/orders/coming-packs.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import type { ComingPacks, FilledLine } from "#core/orders/fill-orders.ts";
import { wantedOn } from "#core/orders/order-dates.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Order, OrderLine } from "#db/order/order-queries.server.ts";

/** How far ahead a standing order is looked at, days. */
const AHEAD_DAYS = 60;

/** One time that an order is wanted. */
export interface OrderTime {
  readonly key: string;
  readonly order: Order;
  readonly wantedOn: string;
  readonly isLate: boolean;
  readonly lines: readonly (OrderLine & { readonly product: string; readonly fill: FilledLine })[];
}

/** Every time of every order that is not done with, the soonest first, with what can be filled of it and what can't. */
export function ordersNow(here: FarmContext, farm: Farm): OrderTime[] {
  const { ordering, catalog, freezers } = here.file;
  const today = localDayOf(here.now(), farm.timeZone);
  const closed = new Set(ordering.closed().map((one) => `${one.orderId} ${one.wantedOn}`));
  const lines = ordering.lines();
  const products = catalog.products();
  const names = new Map(products.map((product) => [product.id, productName(product)]));
  const times = ordering.orders().flatMap((order) => {
    // Whatever is wanted next is shown, however far it lies ahead.
    const upTo = laterOf(order.firstOn, addDays(today, AHEAD_DAYS));
    return wantedOn(order, upTo)
      .filter((day) => !closed.has(`${order.id} ${day}`))
      .map((day) => ({ order, wantedOn: day, lines: lines.filter(({ orderId }) => orderId === order.id) }));
  });
  const sorted = times.toSorted(
    (one, other) => one.wantedOn.localeCompare(other.wantedOn) || one.order.id - other.order.id,
  );
  const keyOf = (lineId: number, day: string) => `${lineId} ${day}`;
  const filled = new Map(
    fillOrdersInPool({
      lines: sorted.flatMap((time) =>
        time.lines.map((line) => ({
          key: keyOf(line.id, time.wantedOn),
          productId: line.productId,
          packs: line.packs ?? Number.POSITIVE_INFINITY,
          leastKilograms: kilograms(line.leastMilligrams),
          mostKilograms: kilograms(line.mostMilligrams),
          // What is late is wanted now.
          wantedOn: laterOf(time.wantedOn, today),
        })),
      ),
      stock: freezers
        .stored()
        .filter(({ purpose }) => purpose === "sale")
        .map(({ id, productId, weightMilligrams }) => ({
          id,
          productId,
          kilograms: kilograms(weightMilligrams),
        })),
      coming: comingOf(here, farm, today),
    }).map((fill) => [fill.key, fill]),
  );
  return sorted.map((time) => ({
    key: keyOf(time.order.id, time.wantedOn),
    order: time.order,
    wantedOn: time.wantedOn,
    isLate: time.wantedOn < today,
    lines: time.lines.map((line) => ({
      ...line,
      product: names.get(line.productId) ?? "a product that was removed",
      fill: filled.get(keyOf(line.id, time.wantedOn))!,
    })),
  }));
}

const kilograms = (milligrams: number | undefined) =>
  milligrams === undefined ? undefined : kilogramsFromMilligrams(milligrams);

/** What planned days will give of our own birds. */
function comingOf(here: FarmContext, farm: Farm, today: string): ComingPacks[] {
  const { file } = here;
  const products = file.catalog.products();
  const schemes = file.cutting.schemes();
  return file.openDays().flatMap((day) => {
    // Birds of a day that is being packed lie in the freezers as they are weighed.
    if (day.processedOn < today || file.pack.carcassCount(day.id) > 0) return [];
    const lots = lotsOfDay(here, day).filter(({ ownerId }) => ownerId === undefined);
    if (lots.length === 0) return [];
    const restDays = restDaysOf(here, day, lots, file.season.setting().restDaysCount);
    const schemeId = file.cutting.cutPlan(day.id)?.schemeId;
    const scheme = schemes.find(({ id }) => id === schemeId)?.parts ?? USUAL_SCHEME;
    return lots.flatMap((lot) => {
      const forecast = flockOn(day.processedOn, flockOf(here, farm, lot.batch, file.story(lot.batch.id)));
      return comingPacks(
        { ...lot, dayId: day.id, processedOn: day.processedOn, restDays, scheme, forecast },
        products,
      );
    });
  });
}
