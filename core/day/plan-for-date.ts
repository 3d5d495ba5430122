import type { LocalDay } from "#core/calendar/local-day.ts";
import { type DayPlan, dayPlan } from "#core/day/day-plan.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan-input.ts";
import type { Flock } from "#core/growth/flock.ts";
import { biggestOf, type FlockForecast, flockOn } from "#core/growth/flock-forecast.ts";
import { nightBefore, sunOfDay } from "#core/sky/farm-sky.ts";
import type { Place, SunTimes } from "#core/sky/sun.ts";

/** All that a plan is worked out from but the date and the choices. */
export interface PlanBasis {
  readonly flock: Flock;
  /** Birds that stand in the flock before the day takes its own. */
  readonly standingBirds: number;
  readonly means: FarmMeans;
  readonly place: Place;
  readonly timeZone: string;
}

export interface PlanForDate {
  readonly plan: DayPlan;
  readonly forecast: FlockForecast;
  readonly sun: SunTimes;
}

/** The plan of a date: what the flock will weigh and what the sun does, joined with the choices. */
export function planForDate(basis: PlanBasis, day: LocalDay, choices: DayChoices): PlanForDate {
  const whole = flockOn(day, basis.flock);
  const forecast =
    choices.whichBirds === "biggest"
      ? biggestOf(whole, basis.flock, Math.max(basis.standingBirds, choices.birds), choices.birds)
      : whole;
  const plan = dayPlan({
    kind: basis.flock.kind,
    flock: forecast,
    choices,
    means: basis.means,
    night: nightBefore(day, basis.timeZone, basis.place),
  });
  return { plan, forecast, sun: sunOfDay(day, basis.timeZone, basis.place) };
}
