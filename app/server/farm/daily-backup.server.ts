import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { FarmLife } from "#app/server/farm/farm-life.server.ts";
import { log } from "#app/server/log.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import { type BackupReason, isBackupDue } from "#core/file/file-life.ts";
import { type Backup, backupsIn } from "#db/life/backup-archive.server.ts";

const LOOK_EVERY = 10 * MINUTE;

/** Packs the data file in a thread of its own. */
export const backUp = (
  here: FarmContext,
  { path, folder }: FarmLife,
  reason: BackupReason,
): Promise<Backup> => filePool().run("back-up", { path, folder, madeAt: here.now(), reason });

/** Looks from time to time whether an archive is due, for as long as the process runs. */
export function backUpDaily(here: FarmContext, life: FarmLife): void {
  const look = async () => {
    try {
      if (here.file.farm() === undefined) return;
      const [last] = await backupsIn(life.folder);
      if (!isBackupDue(last?.madeAt, here.now())) return;
      const { name, bytes } = await backUp(here, life, "daily");
      log.info({ name, bytes }, "backed up");
    } catch (error) {
      log.error({ err: error }, "the backup failed; it is tried again");
    }
  };
  setTimeout(look, MINUTE).unref();
  setInterval(look, LOOK_EVERY).unref();
}
