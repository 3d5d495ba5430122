import type { FormSetting } from "#app/batches/batch-forms.ts";
import { now } from "#app/server/clock.server.ts";
import { requireBatch } from "#app/server/day-reading.server.ts";
import { requireFarm } from "#app/server/farm-file.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";

/** What every page that writes something down of a batch loads. */
export function loadFactPage(batchId: string | undefined) {
  const farm = requireFarm();
  const batch = requireBatch(batchId);
  const setting: FormSetting = {
    unitSystem: farm.unitSystem,
    today: localDayOf(now(), farm.timeZone),
    hatchedOn: batch.hatchedOn,
  };
  return { batch, setting, entryId: newEntryId() };
}
