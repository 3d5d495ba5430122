import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { farmMeans, placeOf } from "#app/server/farm/farm-means.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { whileUnchanged } from "#app/server/farm/while-unchanged.server.ts";
import { mapWithPool } from "#app/server/pooled/pooled.server.ts";
import { predictedInPool } from "#app/server/pooled/sums.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type DayTaken, OUR_PACE, type OwnPace, ownPace } from "#core/day/crew/own-pace.ts";
import type { PlanBasis } from "#core/day/plan/plan-for-date.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Settled days from which the farm's own pace is read: late enough to be like the next. */
const DAYS_LOOKED_BACK = 6;

/** How quick the farm's last settled days were against our times; ours, where it has none or wants none of it. */
export function farmPace(here: FarmContext, farm: Farm): OwnPace {
  if (!farm.usesOwnDays) return OUR_PACE;
  // Of a farm without its money too: no price has to do with how quick people are.
  return whileUnchanged(here, "farm-pace", (whole) => {
    const settled = whole.file
      .lastDays(2 * DAYS_LOOKED_BACK)
      .filter((day) => day.settledEntryId)
      .slice(0, DAYS_LOOKED_BACK);
    return ownPace(mapWithPool(settled, (day) => dayTaken(whole, whole.file.farm()!, day) ?? []).flat());
  });
}

/** How long a day took, and what our times would have said of it; undefined where no one tapped its birds. */
function dayTaken(here: FarmContext, farm: Farm, day: ProcessingDay): DayTaken | undefined {
  const { file } = here;
  const { startedAt, lastBirdAt, done } = runProgress(file.run.facts(day.id), birdsOf(day), 0);
  if (startedAt === undefined || lastBirdAt === undefined || done === 0) return undefined;
  const asked = {
    day,
    basis: {
      batches: lotsOfDay(here, day).map(({ batchId, batch }) => ({
        batchId,
        name: batch.name,
        aliveBirds: file.takenOn(day.id).get(batchId) ?? 0,
        flock: flockOf(here, farm, batch, file.story(batchId)),
        pens: [],
      })),
      means: farmMeans(farm),
      helpers: file.people.people(),
      former: file.people.former(),
      iceBagsInStock: undefined,
      place: placeOf(farm),
      timeZone: day.timeZone,
    },
  };
  return { tookMinutes: (lastBirdAt - startedAt) / MINUTE, predictedMinutes: predicted(asked) };
}

/** What our times say of the birds that a day took. */
function predicted({ day, basis }: { day: ProcessingDay; basis: PlanBasis }): number {
  const lots = day.lots.flatMap((lot) => {
    const birds = basis.batches.find(({ batchId }) => batchId === lot.batchId)!.aliveBirds;
    return birds > 0 ? [{ ...lot, birds, cutUp: Math.min(birds, lot.cutUp) }] : [];
  });
  return predictedInPool({ basis, processedOn: day.processedOn, choices: { ...day, lots } });
}
