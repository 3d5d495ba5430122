import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { suppliesInStock } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { dayNeeds, plannedUse, type Supply } from "#core/day/supplies/day-needs.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What will be in stock for a day: what there is, less what the scheduled days before it take. */
export function stockForDay(
  here: FarmContext,
  farm: Farm,
  day: { readonly id: number; readonly startAt: number },
): { supplies: Supply[]; daysBefore: number } {
  const earlier = here.file.openDays().filter(({ id, startAt }) => id !== day.id && startAt < day.startAt);
  let supplies = suppliesInStock(here);
  for (const one of earlier) {
    const planned = planOf(here, farm, one);
    const needs = dayNeeds(plannedUse(planned, supplySettings(farm)), supplies);
    supplies = supplies.map((supply) => {
      const taken = needs
        .filter((need) => need.supply?.id === supply.id)
        .reduce((sum, { amount }) => sum + amount, 0);
      return supply.inStock === undefined
        ? supply
        : { ...supply, inStock: Math.max(0, supply.inStock - taken) };
    });
  }
  return { supplies, daysBefore: earlier.length };
}
