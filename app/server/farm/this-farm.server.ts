import { listenToDevices } from "#app/server/device/device-listener.server.ts";
import { clockFrom } from "#app/server/farm/clock.server.ts";
import { backUpDaily } from "#app/server/farm/daily-backup.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { FarmLife } from "#app/server/farm/farm-life.server.ts";
import { visitingDevice } from "#app/server/visitor/visitor.server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";
import { backupFolder } from "#db/life/backup-folder.server.ts";

/** Kept across reloads of this module in development, so that one process holds one connection. */
const kept = globalThis as { paleMorningFarm?: ServedFarm };

export interface ServedFarm {
  readonly here: FarmContext;
  readonly life: FarmLife;
  /** Settled while the data file may be used; a restore replaces it for as long as the file is away. */
  ready: Promise<unknown>;
}

/** The farm that this process serves; its data file is opened at the first request and closed when the process ends. */
export const thisFarm = (): ServedFarm => {
  kept.paleMorningFarm ??= openFromEnvironment();
  return kept.paleMorningFarm;
};

/**
 * PALE_MORNING_DATA names the data file, PALE_MORNING_BACKUPS the folder of its archives.
 * PALE_MORNING_CLOCK=2026-09-17T10:12:00Z starts the clock at another moment.
 */
function openFromEnvironment(): ServedFarm {
  const { PALE_MORNING_DATA: path, PALE_MORNING_CLOCK: setTo } = process.env;
  if (!path) throw new Error("PALE_MORNING_DATA must name the data file");
  const start = setTo ? Date.parse(setTo) : Date.now();
  if (Number.isNaN(start)) throw new Error(`PALE_MORNING_CLOCK is not a moment: ${setTo}`);
  const folder = backupFolder(path, process.env);
  const writing = { visiting: visitingDevice, now: clockFrom(start) };
  let file = openFarmFile(path, writing);
  process.once("exit", () => file.close());
  const here: FarmContext = {
    // After a restore it is another one: whoever holds the context goes on with it.
    get file() {
      return file;
    },
    now: writing.now,
  };
  const served: ServedFarm = {
    here,
    ready: Promise.resolve(),
    life: {
      path,
      folder,
      whileClosed: (work) => {
        const done = (async () => {
          file.close();
          try {
            return await work();
          } finally {
            file = openFarmFile(path, writing);
          }
        })();
        served.ready = done.catch(() => undefined);
        return done;
      },
    },
  };
  listenToDevices(here);
  backUpDaily(here, served.life);
  return served;
}
