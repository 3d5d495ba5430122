import { planOf } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { suppliesInStock } from "#app/server/supplies.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Bags of ice that a day will find: those in stock, less what the set days before it take; undefined where no one counts them. */
export function iceBagsLeft(
  farm: Farm,
  day: { readonly id: number; readonly startAt: number },
): number | undefined {
  const counts = suppliesInStock().flatMap(({ kind, inStock }) =>
    kind === "ice" && inStock !== undefined ? [inStock] : [],
  );
  if (counts.length === 0) return undefined;
  const file = farmFile();
  const taken = file
    .openDays()
    .filter(({ id, startAt }) => id !== day.id && startAt < day.startAt)
    .map((one) => planOf(farm, file.batch(one.batchId)!, one).plan.chill.bags.value);
  return taken.reduce(
    (left, bags) => Math.max(0, left - bags),
    counts.reduce((sum, bags) => sum + bags, 0),
  );
}
