import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { LotOfDay } from "#app/server/farm/required.server.ts";
import { proposedRestDays } from "#core/rest/rest.ts";
import { REST_METHOD_HOURS } from "#core/rest/rest-part.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";

/**
 * Whole days for which birds of some lots of a day rest: as its program says, else none where they are packed the same day, else as
 * the season says or we propose. Those that rest longest decide.
 *
 * @param lots at least one
 */
export function restDaysOf(
  { file }: FarmContext,
  day: Pick<ProcessingDay, "id" | "packsSameDay">,
  lots: readonly Pick<LotOfDay, "id" | "batch">[],
  saidBySeason: number | undefined,
): number {
  const own =
    file.resting.program(day.id)?.parts.filter(({ lotId }) => lots.some(({ id }) => id === lotId)) ?? [];
  if (own.length > 0) return Math.max(...own.map(({ method }) => Math.ceil(REST_METHOD_HOURS[method] / 24)));
  if (day.packsSameDay) return 0;
  return saidBySeason ?? Math.max(...lots.map(({ batch }) => proposedRestDays(batch.kind)));
}
