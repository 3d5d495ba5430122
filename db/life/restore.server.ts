import { existsSync, renameSync, rmSync } from "node:fs";
import { keepBlocked } from "#db/access/keep-blocked.server.ts";
import { type Backup, type BackupFacts, unpackBackup, writeBackup } from "#db/life/backup-archive.server.ts";
import { damageOf, FileTroubleError, fileTrouble } from "#db/life/file-trouble.server.ts";
import { newestVersion, openFile } from "#db/open-file.server.ts";

/** What became of the file that stood. */
export interface Kept {
  /** The archive of what stood before; undefined where nothing did. */
  readonly kept: Backup | undefined;
  /** Where a file that could not be packed was set aside, as it was. */
  readonly setAside: string | undefined;
}

export interface Restored extends Kept {
  readonly facts: BackupFacts;
}

/**
 * Puts an archive's data file in the place of another, which must not be open anywhere. The archive is unpacked, checked and brought up
 * to date beside it first, and nobody comes in by it who was blocked since; what stood there is kept as an archive, or set aside as it is
 * where it can't be read.
 *
 * @param path of the data file
 * @param folder where archives are kept
 * @throws {FileTroubleError} if the archive is of a newer version, or damaged
 * @throws {Error} if the archive was changed, or is none of ours
 */
export async function restoreBackup(archive: string, { path, folder, now }: Place): Promise<Restored> {
  const next = `${path}.restoring`;
  removeFile(next);
  try {
    const facts = await unpackBackup(archive, next);
    if (facts.version > newestVersion()) throw new FileTroubleError({ kind: "newer", path: archive });
    return { facts, ...(await putInPlace(next, archive, { path, folder, now })) };
  } finally {
    removeFile(next);
  }
}

interface Place {
  /** Of the data file. */
  readonly path: string;
  /** Where archives are kept. */
  readonly folder: string;
  readonly now: number;
}

/**
 * Puts a file in the place of the data file, which must not be open anywhere. It is brought up to date and checked first; nobody comes in
 * by it who was blocked since; what stood is kept.
 *
 * @param from what the file was made from, for what is said if it can't be used
 */
export async function putInPlace(next: string, from: string, { path, folder, now }: Place): Promise<Kept> {
  try {
    openFile(next).close();
    keepBlocked({ next, standing: path, now });
    if (damageOf(next).length > 0) throw new FileTroubleError({ kind: "broken", path: from });
    const kept = await keepPresent(path, folder, now);
    removeFile(path);
    renameSync(next, path);
    return kept;
  } finally {
    removeFile(next);
    removeFile(`${next}.trial`);
  }
}

/** Nothing that stands is lost, however broken it is. */
async function keepPresent(path: string, folder: string, now: number): Promise<Kept> {
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
