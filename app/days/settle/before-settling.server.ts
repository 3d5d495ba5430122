import { expectedBirds } from "#app/server/day/plan-of-day.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";

/** What makes the sums of a day wrong if it is settled as it stands. */
export interface BeforeSettling {
  /** Numbers of birds that are not weighed, in order. */
  readonly unweighed: readonly number[];
  /** Batches for which feed was bought after what was left was last counted, or never counted. */
  readonly uncounted: readonly {
    readonly batchId: number;
    readonly batchName: string;
    readonly boughtOn: string;
    /** Undefined where nobody ever counted. */
    readonly countedOn: string | undefined;
  }[];
}

export function beforeSettling(
  here: FarmContext,
  day: ProcessingDay,
  lots: readonly LotOfDay[],
): BeforeSettling {
  const weighed = new Set(here.file.pack.carcasses(day.id).map(({ birdNumber }) => birdNumber));
  const numbers = Array.from({ length: expectedBirds(here, day) }, (_, index) => index + 1);
  return {
    unweighed: numbers.filter((number) => !weighed.has(number)),
    uncounted: lots.flatMap(({ batchId, batchName }) => {
      const { feed, feedLeft } = here.file.story(batchId);
      const boughtOn = feed.at(-1)?.boughtOn;
      const countedOn = feedLeft.at(-1)?.countedOn;
      return boughtOn !== undefined && (countedOn === undefined || countedOn < boughtOn)
        ? [{ batchId, batchName, boughtOn, countedOn }]
        : [];
    }),
  };
}
