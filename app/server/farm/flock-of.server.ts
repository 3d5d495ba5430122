import { weatherOf } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Flock } from "#core/growth/flock.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Batch, BatchStory } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A batch as growth calculates with it: its weigh-ins, its weather, and the days that took its largest birds. */
export function flockOf(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  { weighings }: Pick<BatchStory, "weighings">,
): Flock {
  let current = batch.arrivedCount - batch.lostCount;
  const takings = here.file.daysOf(batch.id).flatMap(({ processedOn, lots }) => {
    const lot = lots.find(({ batchId }) => batchId === batch.id);
    if (!lot) return [];
    const taking = { takenOn: processedOn, birds: lot.birds, ofBirds: current, which: lot.whichBirds };
    current -= lot.birds;
    return [taking];
  });
  return {
    takings,
    weather: weatherOf(here, farm, batch.hatchedOn),
    kind: batch.kind,
    maleShare: batch.maleSharePermille / 1000,
    hatchedOn: batch.hatchedOn,
    weighings: weighings.map(({ weighedOn, liveWeightMilligrams }) => ({
      weighedOn,
      kilograms: kilogramsFromMilligrams(liveWeightMilligrams),
    })),
  };
}
