import { existsSync, renameSync, rmSync } from "node:fs";
import { keepOut } from "#db/access/keep-out.server.ts";
import { type Backup, type BackupFacts, unpackBackup, writeBackup } from "#db/life/backup-archive.server.ts";
import { damageOf, FileTroubleError, fileTrouble } from "#db/life/file-trouble.server.ts";
import { newestVersion, openFile } from "#db/open-file.server.ts";

export interface Restored {
  readonly facts: BackupFacts;
  /** The archive of what stood before; undefined where nothing did. */
  readonly kept: Backup | undefined;
  /** Where a file that could not be packed was set aside, as it was. */
  readonly setAside: string | undefined;
}

/**
 * Puts an archive's data file in the place of another, which must not be open anywhere. The archive is unpacked, checked and brought up
 * to date beside it first, and nobody comes in by it who was put out since; what stood there is kept as an archive, or set aside as it is
 * where it can't be read.
 *
 * @param path of the data file
 * @param folder where archives are kept
 * @throws {FileTroubleError} if the archive is of a newer version, or damaged
 * @throws {Error} if the archive was changed, or is none of ours
 */
export async function restoreBackup(
  archive: string,
  { path, folder, now }: { readonly path: string; readonly folder: string; readonly now: number },
): Promise<Restored> {
  const next = `${path}.restoring`;
  removeFile(next);
  try {
    const facts = await unpackBackup(archive, next);
    if (facts.version > newestVersion()) throw new FileTroubleError({ kind: "newer", path: archive });
    openFile(next).close();
    keepOut({ next, standing: path, now });
    if (damageOf(next).length > 0) throw new FileTroubleError({ kind: "broken", path: archive });
    const { kept, setAside } = await keepPresent(path, folder, now);
    removeFile(path);
    renameSync(next, path);
    return { facts, kept, setAside };
  } finally {
    removeFile(next);
    removeFile(`${next}.trial`);
  }
}

/** Nothing that stands is lost, however broken it is. */
async function keepPresent(path: string, folder: string, now: number) {
  if (!existsSync(path)) return { kept: undefined, setAside: undefined };
  if (fileTrouble(path) === undefined && damageOf(path).length === 0) {
    const kept = await writeBackup(path, folder, { madeAt: now, reason: "before-restore" });
    return { kept, setAside: undefined };
  }
  const setAside = `${path}.set-aside-${now}`;
  for (const suffix of ["", "-wal", "-shm"])
    if (existsSync(path + suffix)) renameSync(path + suffix, setAside + suffix);
  return { kept: undefined, setAside };
}

function removeFile(path: string): void {
  for (const suffix of ["", "-wal", "-shm", "-journal"]) rmSync(path + suffix, { force: true });
}
