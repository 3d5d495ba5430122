import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { suppliesInStock } from "#app/server/day/supplies.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { dayNeeds, plannedUse, type Supply } from "#core/day/supplies/day-needs.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A counted supply, and what a day that was run will have taken of it. */
export interface LikelyUse {
  readonly supply: Supply;
  readonly amount: number;
}

/** What a day took of everything counted, by the birds that were packed and the hours that were worked. */
export function likelyUse(here: FarmContext, farm: Farm, day: ProcessingDay): LikelyUse[] {
  const supplies = suppliesInStock(here).filter(({ inStock }) => inStock !== undefined);
  if (supplies.length === 0) return [];

  const { firstBirdAt, lastBirdAt } = progressOf(here, day);
  const dressed = here.file.pack
    .carcasses(day.id)
    .filter(({ purpose, weightMilligrams }) => purpose !== "condemned" && weightMilligrams !== undefined);
  const planned = plannedUse(planOf(here, farm, day), supplySettings(farm));
  const needs = dayNeeds(
    {
      ...planned,
      wholeKilograms: dressed
        .filter(({ purpose }) => purpose !== "cut")
        .map(({ weightMilligrams }) => kilogramsFromMilligrams(weightMilligrams!)),
      cutBirds: dressed.filter(({ purpose }) => purpose === "cut").length,
      lineHours:
        firstBirdAt === undefined || lastBirdAt === undefined
          ? planned.lineHours
          : (lastBirdAt - firstBirdAt) / HOUR,
      spareShare: 0,
    },
    supplies,
  );
  return supplies.map((supply) => ({
    supply,
    // No more than was there: what was bought meanwhile has not been recorded.
    amount: Math.min(supply.inStock!, needs.find((need) => need.supply?.id === supply.id)?.amount ?? 0),
  }));
}
