import { planOf } from "#app/server/day/plan-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { milligramsFromKilograms } from "#core/quantity/conversion.ts";
import type { KeptPlan, ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** The plan as it stands when a day is started. */
export function keptPlanOf(here: FarmContext, farm: Farm, day: ProcessingDay, at: number): KeptPlan {
  const { plan } = planOf(here, farm, day);
  return {
    keptAt: at,
    birdCount: birdsOf(day),
    startAt: day.startAt,
    likelyAt: Math.round(plan.line.likelyAt.value),
    wholeDayMinutes: Math.round(plan.line.wholeDayMinutes.value),
    iceBagCount: plan.chill.bags.value,
    lots: plan.lots.map(({ withdrawal, forecast }, index) => ({
      lotId: day.lots[index]!.id,
      birdCount: day.lots[index]!.birds,
      feedOffAt: Math.round(withdrawal.feedOffAt.value),
      liveMeanMilligrams: milligramsFromKilograms(forecast.live.value),
      dressedMeanMilligrams: milligramsFromKilograms(forecast.dressed.value),
    })),
  };
}
