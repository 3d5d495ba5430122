import { cuttingWork } from "#app/server/day/cutting-work.server.ts";
import { farmPace } from "#app/server/day/own-pace.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { farmMeans, placeOf } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { planInPool } from "#app/server/pooled/sums.server.ts";
import type { BatchBasis, PlanBasis, PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { type RunProgress, runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What a day's plan is asked for: the day itself, 0 for one that is not set yet, and the batches that it takes birds of. */
export interface DayAsked {
  readonly dayId: number;
  readonly batchIds: readonly number[];
}

const askedOf = ({ id, lots }: ProcessingDay): DayAsked => ({
  dayId: id,
  batchIds: lots.map(({ batchId }) => batchId),
});

/**
 * What the batches, the farm and its place say, whatever is chosen.
 *
 * @param iceBagsInStock bags that the day will find, where that matters: it takes the plans of the days before
 */
export function planBasis(
  here: FarmContext,
  farm: Farm,
  { dayId, batchIds }: DayAsked,
  iceBagsInStock?: number,
): PlanBasis {
  const { file } = here;
  return {
    batches: batchIds.map((batchId): BatchBasis => {
      const batch = file.batch(batchId)!;
      return {
        batchId,
        name: batch.name,
        aliveBirds: file.freeForDay(batchId, dayId),
        flock: flockOf(here, farm, batch, file.story(batchId)),
        pens: file.pens(batchId).map(({ pen, birdCount }) => ({ name: pen, birds: birdCount })),
      };
    }),
    means: { ...farmMeans(farm), ownPace: farmPace(here, farm), cutting: cuttingWork(here, dayId) },
    iceBagsInStock,
    helpers: file.people.people(),
    former: file.people.former(),
    place: placeOf(farm),
    timeZone: farm.timeZone,
  };
}

export const basisOfDay = (here: FarmContext, farm: Farm, day: ProcessingDay, iceBagsInStock?: number) =>
  planBasis(here, farm, askedOf(day), iceBagsInStock);

export function planOf(
  here: FarmContext,
  farm: Farm,
  day: ProcessingDay,
  iceBagsInStock?: number,
): PlanForDate {
  const basis = basisOfDay(here, farm, day, iceBagsInStock);
  return planInPool({ basis, processedOn: day.processedOn, choices: day });
}

/** The same to be sent to a page, without each morning's end, which only a curve asks for. */
export function planToSend(here: FarmContext, farm: Farm, day: ProcessingDay): PlanForDate {
  const planned = planOf(here, farm, day);
  const { line } = planned.plan;
  const answer = { ...line.answer, lastChills: [] };
  return { ...planned, plan: { ...planned.plan, line: { ...line, answer } } };
}

export function progressOf(here: FarmContext, day: ProcessingDay): RunProgress {
  return runProgress(here.file.run.facts(day.id), birdsOf(day), here.now());
}

/** How many birds are to be weighed of a day: those that were killed once the line is done, until then at least those planned. */
export function expectedBirds(here: FarmContext, day: ProcessingDay): number {
  const { state, done } = progressOf(here, day);
  return state === "finished" ? done : Math.max(done, birdsOf(day));
}
