import { planOf } from "#app/server/day/plan-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { farmMeans } from "#app/server/farm/farm-means.server.ts";
import { SURFACE_COEFFICIENT, TANK_LOSS } from "#core/chill/chill-constants.ts";
import { type TrickleChill, trickleTank } from "#core/chill/trickle-tank.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { MILLILITERS_PER_GALLON } from "#core/quantity/conversion.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A garden hose half open, liters a minute. */
const USUAL_FLOW = 8;
const MOST_FLOW = 200;

export interface Trickle extends TrickleChill {
  /** As it was typed, in the farm's units a minute. */
  readonly flowTyped: string;
  readonly litersPerMinute: number;
  readonly tapCelsius: number;
  readonly hours: number;
}

/** What the farm's well water does in place of ice, at a flow that may be typed, gallons or liters a minute. */
export function trickleOf(here: FarmContext, farm: Farm, day: ProcessingDay, typed: string | null): Trickle {
  const { plan } = planOf(here, farm, day);
  const means = farmMeans(farm);
  const litersEach = farm.unitSystem === "us" ? MILLILITERS_PER_GALLON / 1000 : 1;
  const read = typed && typed.length < 20 ? readNumber(typed) : undefined;
  const litersPerMinute = read && read > 0 ? Math.min(MOST_FLOW, read * litersEach) : USUAL_FLOW;
  const hours = plan.chill.quotedHours;
  return {
    ...trickleTank({
      litersPerMinute,
      tapCelsius: means.tapCelsius,
      ambientCelsius: means.ambientCelsius,
      lossWattPerKelvin: TANK_LOSS[means.tankWall],
      birds: birdsOf(day),
      carcassKilograms: plan.lots[0]!.forecast.dressed.value,
      hours,
      surfaceCoefficient: SURFACE_COEFFICIENT.agitated,
    }),
    flowTyped: String(Math.round((litersPerMinute / litersEach) * 10) / 10),
    litersPerMinute,
    tapCelsius: means.tapCelsius.value,
    hours,
  };
}
