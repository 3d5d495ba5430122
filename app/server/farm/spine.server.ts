import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { plural, type Show, showFor } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, daysBetween } from "#core/calendar/local-day.ts";
import { wantedOn } from "#core/orders/order-dates.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** One live word for each section of the work. */
export interface SpineWords {
  readonly batches: string;
  readonly season: string;
  readonly days: string;
  readonly freezers: string;
  readonly orders: string;
  readonly books: string;
}

export function spineWords(here: FarmContext, farm: Farm): SpineWords {
  const file = here.file;
  const today = localDayOf(here.now(), farm.timeZone);
  const open = file.openDays();
  const living = file
    .batches()
    .filter((batch) => batch.aliveCount > 0 && batch.awaitedOn === undefined && batch.hatchedOn <= today);
  const packs = file.freezers.packCount();
  const settled = file.settling.settledCount();
  return {
    batches: String(living.length || ""),
    season: open.length > 0 ? `${open.length} planned` : "",
    days: open[0] ? dayWord(today, open[0].processedOn, showFor(farm)) : "",
    freezers: packs > 0 ? plural(packs, "pack") : "",
    orders: orderWord(here, today),
    books: settled > 0 ? `${settled} settled` : "",
  };
}

/** How many times orders are wanted within a week, or late. */
function orderWord({ file }: FarmContext, today: string): string {
  const closed = new Set(file.ordering.closed().map(({ orderId, wantedOn: day }) => `${orderId} ${day}`));
  const due = file.ordering
    .orders()
    .flatMap((order) =>
      wantedOn(order, addDays(today, 7)).filter((day) => !closed.has(`${order.id} ${day}`)),
    );
  return due.length > 0 ? `${due.length} due` : "";
}

function dayWord(today: string, day: string, show: Show): string {
  const away = daysBetween(today, day);
  if (away === 0) return "today";
  return away > 0 && away < 7 ? show.shortWeekday(day) : show.monthDay(day);
}
