import { farmPace } from "#app/server/day/own-pace.server.ts";
import { playedLine } from "#app/server/day/played-line.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { farmMeans, placeOf } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { type PlanBasis, type PlanForDate, planForDate } from "#core/day/plan/plan-for-date.ts";
import { type RunProgress, runProgress } from "#core/day/run/run-progress.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/**
 * What the batch, the farm and its place say, whatever is chosen.
 *
 * @param dayId the day whose own birds are free for it; 0 for one that is not set yet
 * @param iceBagsInStock bags that the day will find, where that matters: it takes the plans of the days before
 */
export function planBasis(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  dayId = 0,
  iceBagsInStock?: number,
): PlanBasis {
  return {
    aliveBirds: here.file.freeForDay(batch.id, dayId),
    flock: flockOf(here, farm, batch, here.file.story(batch.id)),
    means: { ...farmMeans(farm), ownPace: farmPace(here, farm) },
    pens: here.file.pens(batch.id).map(({ pen, birdCount }) => ({ name: pen, birds: birdCount })),
    iceBagsInStock,
    helpers: here.file.people.people(),
    place: placeOf(farm),
    timeZone: farm.timeZone,
  };
}

export function planOf(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  day: ProcessingDay,
  iceBagsInStock?: number,
): PlanForDate {
  const basis = planBasis(here, farm, batch, day.id, iceBagsInStock);
  return planForDate(basis, day.processedOn, day, playedLine);
}

/** The same to be sent to a page, without each morning's end, which only a curve asks for. */
export function planToSend(here: FarmContext, farm: Farm, batch: Batch, day: ProcessingDay): PlanForDate {
  const planned = planOf(here, farm, batch, day);
  const { line } = planned.plan;
  const answer = { ...line.answer, lastChills: [] };
  return { ...planned, plan: { ...planned.plan, line: { ...line, answer } } };
}

export function progressOf(here: FarmContext, day: ProcessingDay): RunProgress {
  return runProgress(here.file.run.events(day.id), day.birds, here.now());
}
