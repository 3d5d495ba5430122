import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { plural, showFor } from "#app/words/show.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A bird outside these shares of what is expected is asked about: half the light end and twice the heavy end of 8 in 10. */
const LIGHT_SHARE = 0.5;
const HEAVY_SHARE = 2;

/** A question about a weight that is far from what birds of this age weigh; undefined if none is. */
export function farWeights(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  day: string,
  milligrams: readonly number[],
): string | undefined {
  if (day < batch.hatchedOn) return undefined;
  const { birdBand, ageDays, live } = flockOn(day, flockOf(here, farm, batch, here.file.story(batch.id)));
  const [low, high] = [birdBand[0] * LIGHT_SHARE, birdBand[1] * HEAVY_SHARE];
  const far = milligrams.find((weight) => {
    const kilograms = kilogramsFromMilligrams(weight);
    return kilograms < low || kilograms > high;
  });
  if (far === undefined) return undefined;
  const show = showFor(farm);
  return `${show.bird(far)} at ${plural(ageDays, "day")}? The expected weight is about ${show.value(live.value, "live-kg")}.`;
}
