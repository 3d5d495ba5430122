import type { DayFormSetting } from "#app/days/plan/choices/day-form.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/**
 * What the form of a day must know of the batches that its lots are of.
 *
 * @param dayId the day itself, whose own birds are free for it; 0 for one that is not set yet
 */
export const daySetting = (
  { file }: FarmContext,
  { unitSystem }: Pick<Farm, "unitSystem">,
  batches: readonly Batch[],
  { dayId, timeZone }: { readonly dayId: number; readonly timeZone: string },
): DayFormSetting => ({
  timeZone,
  unitSystem,
  lots: batches.map(({ id, name, kind, hatchedOn }) => ({
    batchId: id,
    batchName: name,
    kind,
    hatchedOn,
    freeCount: file.freeForDay(id, dayId),
    pens: file.pens(id).map(({ pen, birdCount }) => ({ name: pen, birds: birdCount })),
  })),
});

/**
 * Owners that a lot may have, beside the farm itself. Someone who was removed stays with the lots that have them, so that
 * saving the day doesn't make their birds the farm's own.
 */
export const ownersToChoose = (
  { file }: FarmContext,
  lots: readonly { readonly ownerId: number | undefined }[] = [],
): { id: number; name: string }[] =>
  file.customers.owners().flatMap(({ id, name, isRemoved }) => {
    if (!isRemoved) return [{ id, name }];
    return lots.some(({ ownerId }) => ownerId === id) ? [{ id, name: `${name} (removed)` }] : [];
  });
