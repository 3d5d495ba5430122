import type { FarmContext } from "#app/server/farm-context.server.ts";
import { farmMeans, placeOf } from "#app/server/farm-means.server.ts";
import { flockOf } from "#app/server/flock-of.server.ts";
import { playedLine } from "#app/server/played-line.server.ts";
import { type DayTaken, OUR_PACE, type OwnPace, ownPace } from "#core/day/crew/own-pace.ts";
import { planForDate } from "#core/day/plan/plan-for-date.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Settled days from which the farm's own pace is read: late enough to be like the next. */
const DAYS_LOOKED_BACK = 6;
/** replications by which it is known well enough what our times would have said of a day that is over. */
const REPLICATIONS = 200;

/** How quick the farm's last settled days were against our times; ours, where it has none or wants none of it. */
export function farmPace(here: FarmContext, farm: Farm): OwnPace {
  if (farm.usesOwnDays === 0) return OUR_PACE;
  const settled = here.file
    .lastDays(2 * DAYS_LOOKED_BACK)
    .filter((day) => day.settledEntryId)
    .slice(0, DAYS_LOOKED_BACK);
  return ownPace(settled.flatMap((day) => dayTaken(here, farm, day) ?? []));
}

const known = new Map<string, DayTaken>();
const KEPT = 60;

/** How long a day took, and what our times would have said of it; undefined where no one tapped its birds. */
function dayTaken(here: FarmContext, farm: Farm, day: ProcessingDay): DayTaken | undefined {
  const file = here.file;
  const { startedAt, lastBirdAt, done } = runProgress(file.run.events(day.id), day.birds, 0);
  if (startedAt === undefined || lastBirdAt === undefined || done === 0) return undefined;
  const tookMinutes = (lastBirdAt - startedAt) / 60_000;
  const helpers = file.people.people();
  const story = file.story(day.batchId);
  const key = JSON.stringify([farm, day, helpers, story, done, tookMinutes]);
  const current = known.get(key);
  if (current) return current;
  const batch = file.batch(day.batchId)!;
  const { line } = planForDate(
    {
      aliveBirds: done,
      flock: flockOf(here, farm, batch, story),
      means: farmMeans(farm),
      helpers,
      pens: [],
      iceBagsInStock: undefined,
      place: placeOf(farm),
      timeZone: day.timeZone,
    },
    day.processedOn,
    { ...day, birds: done, cutUp: Math.min(done, day.cutUp) },
    (asked) => playedLine(asked, REPLICATIONS),
  ).plan;
  const taken = { tookMinutes, predictedMinutes: line.lineMinutes };
  if (known.size >= KEPT) known.delete(known.keys().next().value!);
  known.set(key, taken);
  return taken;
}
