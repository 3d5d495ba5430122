import { rootFolder } from "#app/server/root-folder.server.ts";
import { SECOND } from "#core/calendar/milliseconds.ts";
import { WorkPool } from "#workers/pool/client.ts";

const PATIENCE_MILLISECONDS = 20 * SECOND;

let pool: WorkPool | undefined;

/** What takes longer than a page may. One thread: forecasts of one day follow one another, and pages keep the other core. */
export const workPool = (): WorkPool =>
  (pool ??= new WorkPool({ root: rootFolder(), threads: 1, mostMilliseconds: PATIENCE_MILLISECONDS }));

/** What somebody who waits for a page is ready to wait. */
const PAGE_PATIENCE_MILLISECONDS = 20 * SECOND;

let ofPages: WorkPool | undefined;

/** Plans and what else pages are read from. Two threads, so that one big day does not keep everyone waiting. */
export const pagePool = (): WorkPool =>
  (ofPages ??= new WorkPool({
    root: rootFolder(),
    threads: 2,
    mostMilliseconds: PAGE_PATIENCE_MILLISECONDS,
  }));

/** Whole files take longer than anything a page asks for. */
const FILE_PATIENCE_MILLISECONDS = 600 * SECOND;

let ofFiles: WorkPool | undefined;

/** Backups and checks of the whole data file, in a thread of their own. */
export const filePool = (): WorkPool =>
  (ofFiles ??= new WorkPool({
    root: rootFolder(),
    threads: 1,
    givesWay: true,
    mostMilliseconds: FILE_PATIENCE_MILLISECONDS,
  }));
