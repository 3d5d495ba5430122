import { sum } from "d3-array";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { suppliesInStock } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { mapWithPool } from "#app/server/pooled/pooled.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Bags of ice in stock; undefined where no one counts them. */
export function iceBagsInStock(here: FarmContext): number | undefined {
  const counts = suppliesInStock(here).flatMap(({ kind, inStock }) =>
    kind === "ice" && inStock !== undefined ? [inStock] : [],
  );
  return counts.length === 0 ? undefined : sum(counts);
}

/** Bags of ice that a day will find: those in stock, less what the scheduled days before it take; undefined where no one counts them. */
export function iceBagsLeft(
  here: FarmContext,
  farm: Farm,
  day: { readonly id: number; readonly startAt: number },
): number | undefined {
  const inStock = iceBagsInStock(here);
  if (inStock === undefined) return undefined;
  const file = here.file;
  const before = file.openDays().filter(({ id, startAt }) => id !== day.id && startAt < day.startAt);
  const taken = mapWithPool(before, (one) => planOf(here, farm, one).plan.chill.bags.value);
  return taken.reduce((left, bags) => Math.max(0, left - bags), inStock);
}
