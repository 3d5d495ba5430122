import { clockOfMinute, instantOf } from "#core/calendar/farm-time.ts";
import type { LocalDay } from "#core/calendar/local-day.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type CrewMember, crewOf, type Helper } from "#core/day/crew/crew.ts";
import { type DayPlan, dayPlan } from "#core/day/plan/day-plan.ts";
import type { PlayLine } from "#core/day/plan/line-plan.ts";
import type {
  DayChoices,
  FarmMeans,
  LotChoices,
  LotInput,
  PenBirds,
  PlanInput,
} from "#core/day/plan/plan-input.ts";
import type { Flock } from "#core/growth/flock.ts";
import { flockOn, largestOf } from "#core/growth/flock-forecast.ts";
import { nightBefore, sunOfDay } from "#core/sky/farm-sky.ts";
import type { Place, SunTimes } from "#core/sky/sun.ts";

/** What a day's plan must know of a batch that it takes birds of. */
export interface BatchBasis {
  readonly batchId: number;
  readonly name: string;
  readonly flock: Flock;
  /** Birds that stand in the flock before the day takes its own. */
  readonly aliveBirds: number;
  readonly pens: readonly PenBirds[];
}

/** All that a plan is calculated from but the date and the choices. */
export interface PlanBasis {
  /** At least those that the choices name. */
  readonly batches: readonly BatchBasis[];
  readonly means: FarmMeans;
  readonly helpers: readonly Helper[];
  /** See `CrewFarm`. */
  readonly former?: readonly Helper[] | undefined;
  readonly iceBagsInStock: PlanInput["iceBagsInStock"];
  readonly place: Place;
  readonly timeZone: string;
}

export interface PlanForDate {
  readonly plan: DayPlan;
  readonly choices: DayChoices;
  readonly crew: readonly CrewMember[];
  readonly sun: SunTimes;
}

/**
 * The plan of a date: what the flock will weigh and what the sun does, joined with the choices.
 *
 * @param play plays the line; by default only as often as there is time for while someone types
 */
export function planForDate(
  basis: PlanBasis,
  day: LocalDay,
  choices: DayChoices,
  play?: PlayLine,
): PlanForDate {
  const input = planInput(basis, day, choices);
  return {
    plan: dayPlan(input, play),
    choices,
    crew: input.crew,
    sun: sunOfDay(day, basis.timeZone, basis.place),
  };
}

/** All that a date's plan is calculated from. */
export function planInput(basis: PlanBasis, day: LocalDay, choices: DayChoices): PlanInput {
  return {
    lots: choices.lots.map((lot) => lotInput(basis, day, lot)),
    choices,
    means: basis.means,
    crew: crewOf(choices.crew, choices.people, {
      helpers: basis.helpers,
      former: basis.former,
      year: Number(day.slice(0, 4)),
    }),
    iceBagsInStock: basis.iceBagsInStock,
    minuteAfterStart: (minuteOfDay) =>
      (atMinute(day, minuteOfDay, basis.timeZone) - choices.startAt) / MINUTE,
    night: nightBefore(day, basis.timeZone, basis.place),
  };
}

/** @throws {RangeError} if the lot is of a batch that nothing is known of */
function lotInput({ batches }: PlanBasis, day: LocalDay, choices: LotChoices): LotInput {
  const batch = batches.find(({ batchId }) => batchId === choices.batchId);
  if (!batch) throw new RangeError(`a lot must be of a known batch, got ${choices.batchId}`);
  const whole = flockOn(day, batch.flock);
  const standing = Math.max(batch.aliveBirds, choices.birds);
  return {
    choices,
    batchName: batch.name,
    kind: batch.flock.kind,
    flock: choices.whichBirds === "biggest" ? largestOf(whole, batch.flock, standing, choices.birds) : whole,
    pens: batch.pens.filter(({ name }) => choices.pens.length === 0 || choices.pens.includes(name)),
  };
}

/** A minute of a day by the farm's clock; where the clocks jump over it, the first that comes after. */
function atMinute(day: LocalDay, minuteOfDay: number, timeZone: string): number {
  const last = Math.min(minuteOfDay, 24 * 60 - 1);
  const instant = instantOf(day, clockOfMinute(last), timeZone);
  if (instant.exists) return instant.at;
  const next = instantOf(day, instant.next, timeZone);
  return next.exists ? next.at : 0;
}
