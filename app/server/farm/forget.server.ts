import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { FarmLife } from "#app/server/farm/farm-life.server.ts";
import { log } from "#app/server/log.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import { backupsIn } from "#db/life/backup-archive.server.ts";

/** Backups that still hold what is forgotten now: those that were asked for, and those made automatically. */
export async function backupsThatHold(life: FarmLife): Promise<{ kept: number; own: number }> {
  const backups = await backupsIn(life.folder);
  const kept = backups.filter(({ reason }) => reason === "asked").length;
  return { kept, own: backups.length - kept };
}

interface Forgotten {
  readonly entryId: string;
  readonly name: string;
  readonly alias: string;
  readonly customerId?: number;
}

/**
 * Takes somebody off their list and puts another name in the place of theirs, everywhere in the file.
 *
 * @returns a page that says why it was not done; undefined where it was
 */
export async function forget(here: FarmContext, life: FarmLife, request: Request, who: Forgotten) {
  if ((await formFields(request)).get("isSure") !== "on")
    return data({ fault: `Check that ${who.name} is to be forgotten` }, { status: 422 });
  here.file.removeFact(who.entryId, here.now());
  const { entryId, ...asked } = who;
  try {
    await life.whileClosed(() => filePool().run("forget-name", { path: life.path, ...asked }));
    return undefined;
  } catch (error) {
    log.error({ err: error }, "a name could not be forgotten");
    here.file.history.putBack(entryId, here.now());
    return data({ fault: "That did not work. The name still stands; try again" }, { status: 409 });
  }
}
