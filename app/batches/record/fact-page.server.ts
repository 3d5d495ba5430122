import type { FormSetting } from "#app/batches/batch-forms.ts";
import { type FarmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { requireBatch } from "#app/server/farm/required.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";

/** What every page that writes something down of a batch loads. */
export function loadFactPage(here: FarmContext, batchId: string | undefined) {
  const farm = requireFarm(here);
  const batch = requireBatch(here, batchId);
  const setting: FormSetting = {
    unitSystem: farm.unitSystem,
    today: localDayOf(here.now(), farm.timeZone),
    hatchedOn: batch.hatchedOn,
  };
  return { batch, setting, entryId: newEntryId() };
}
