import { createHash } from "node:crypto";
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from "node:fs";
import { join } from "node:path";
import type { Readable } from "node:stream";
import { Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import { crc32 } from "node:zlib";
import BetterSqlite3 from "better-sqlite3";
import { open, type ZipFile } from "yauzl";
import { ZipFile as NewZip } from "yazl";
import type { BackupReason, FileCounts } from "#core/file/file-life.ts";
import { countsOf } from "#db/life/file-counts.server.ts";

/** What an archive says of itself, in `backup.json` beside the data file. */
export interface BackupFacts {
  readonly format: 1;
  readonly madeAt: number;
  readonly reason: BackupReason;
  /** Of the tables: the number of the last migration. */
  readonly version: number;
  readonly bytes: number;
  readonly sha256: string;
  readonly counts: FileCounts;
}

export interface Backup extends BackupFacts {
  /** Name of the archive in its folder. */
  readonly name: string;
}

const ALL_PAGES = 0x7fff_ffff;
const DATA = "farm.sqlite";
const FACTS = "backup.json";
const ARCHIVE =
  /^pale-morning-\d{4}-\d{2}-\d{2}T\d{6}Z-(?:daily|asked|before-update|before-restore)(?:-\d+)?\.zip$/;
/** The facts are short; more is not ours. */
const MOST_FACTS_BYTES = 64 * 1024;

/**
 * Copies a data file by SQLite's own backup, while it may be read and written, checks the copy, and packs it with its checksum. All
 * that was answered before this began is in it. Not for the thread that answers pages: it copies and checks in one go.
 *
 * @param path of the data file
 * @param folder where archives are kept; made if it is not there
 */
export async function writeBackup(
  path: string,
  folder: string,
  { madeAt, reason }: { readonly madeAt: number; readonly reason: BackupReason },
): Promise<Backup> {
  mkdirSync(folder, { recursive: true });
  const copy = join(folder, `.copy-${process.pid}-${madeAt}.sqlite`);
  const source = new BetterSqlite3(path, { readonly: true });
  try {
    // In one go after the first pages: another connection that writes in between would make it begin again.
    await source.backup(copy, { progress: () => ALL_PAGES });
  } finally {
    source.close();
  }
  try {
    const facts: BackupFacts = { format: 1, madeAt, reason, ...factsOf(copy), sha256: await hashOf(copy) };
    const name = freeName(folder, madeAt, reason);
    const unfinished = join(folder, `${name}.unfinished`);
    const zip = new NewZip();
    zip.addBuffer(Buffer.from(`${JSON.stringify(facts, null, 2)}\n`), FACTS);
    zip.addFile(copy, DATA);
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(unfinished, { flush: true }));
    renameSync(unfinished, join(folder, name));
    return { ...facts, name };
  } finally {
    for (const suffix of ["", "-wal", "-shm", "-journal"]) rmSync(copy + suffix, { force: true });
  }
}

/** Two archives of one second are told apart by a number. */
function freeName(folder: string, madeAt: number, reason: BackupReason): string {
  const stamp = new Date(madeAt).toISOString().slice(0, 19).replaceAll(":", "");
  for (let turn = 1; ; turn += 1) {
    const name = `pale-morning-${stamp}Z-${reason}${turn > 1 ? `-${turn}` : ""}.zip`;
    if (!existsSync(join(folder, name))) return name;
  }
}

/** @throws {Error} if the copy is damaged: then it is no backup */
function factsOf(copy: string): Pick<BackupFacts, "version" | "bytes" | "counts"> {
  const database = new BetterSqlite3(copy);
  try {
    // The archive holds one file, without a journal beside it.
    database.pragma("journal_mode = DELETE");
    const [{ quick_check: found } = { quick_check: "" }] = database.pragma("quick_check(1)") as {
      quick_check: string;
    }[];
    if (found !== "ok") throw new Error(`the copy is damaged: ${found}`);
    const version = database.pragma("user_version", { simple: true }) as number;
    return { version, counts: countsOf(database), bytes: statSync(copy).size };
  } finally {
    database.close();
  }
}

async function hashOf(path: string): Promise<string> {
  const hash = createHash("sha256");
  await pipeline(createReadStream(path), hash);
  return hash.digest("hex");
}

/** The archives of a folder, the newest first; what is not one of ours is left out. */
export async function backupsIn(folder: string): Promise<Backup[]> {
  if (!existsSync(folder)) return [];
  const found: Backup[] = [];
  for (const name of readdirSync(folder).filter((one) => ARCHIVE.test(one))) {
    const facts = await readFacts(join(folder, name)).catch(() => undefined);
    if (facts) found.push({ ...facts, name });
  }
  return found.toSorted((one, other) => other.madeAt - one.madeAt || other.name.localeCompare(one.name));
}

/** @throws {Error} if the archive can't be read, or is none of ours */
export async function readFacts(archive: string): Promise<BackupFacts> {
  const zip = await opened(archive);
  try {
    const bytes = await factsBytes(zip);
    const facts = JSON.parse(bytes.toString("utf8")) as BackupFacts;
    if (facts.format !== 1 || typeof facts.sha256 !== "string" || !Number.isInteger(facts.madeAt))
      throw new Error("this is no backup of Pale Morning");
    return facts;
  } finally {
    zip.close();
  }
}

/**
 * Unpacks an archive's data file, and holds it against its checksum as it does.
 *
 * @throws {Error} if a byte of it was changed, or it is none of ours; then nothing is left at the target
 */
export async function unpackBackup(archive: string, target: string): Promise<BackupFacts> {
  const facts = await readFacts(archive);
  const zip = await opened(archive);
  try {
    const hash = createHash("sha256");
    let bytes = 0;
    const counted = new Transform({
      transform(chunk: Buffer, _encoding, done) {
        bytes += chunk.length;
        hash.update(chunk);
        done(bytes > facts.bytes ? new Error("it is longer than it says") : null, chunk);
      },
    });
    await pipeline((await entryOf(zip, DATA)).stream, counted, createWriteStream(target, { flush: true }));
    if (bytes !== facts.bytes || hash.digest("hex") !== facts.sha256)
      throw new Error("the data in it is not what was packed");
    return facts;
  } catch (error) {
    rmSync(target, { force: true });
    throw error;
  } finally {
    zip.close();
  }
}

const opened = (archive: string): Promise<ZipFile> =>
  new Promise((resolve, reject) =>
    open(archive, { lazyEntries: true, autoClose: false }, (error, zip) =>
      error ? reject(error) : resolve(zip),
    ),
  );

/** One file of an archive: its content, and the checksum that the archive has of it. */
async function entryOf(zip: ZipFile, name: string): Promise<{ stream: Readable; crc32: number }> {
  return new Promise((resolve, reject) => {
    zip.on("error", reject);
    zip.on("end", () => reject(new Error("this is no backup of Pale Morning")));
    zip.on("entry", (entry) => {
      if (entry.fileName !== name) return zip.readEntry();
      zip.openReadStream(entry, (error, stream) =>
        error ? reject(error) : resolve({ stream, crc32: entry.crc32 }),
      );
    });
    zip.readEntry();
  });
}

async function factsBytes(zip: ZipFile): Promise<Buffer> {
  const entry = await entryOf(zip, FACTS);
  const chunks: Buffer[] = [];
  let size = 0;
  for await (const chunk of entry.stream) {
    size += (chunk as Buffer).length;
    if (size > MOST_FACTS_BYTES) throw new Error("this is no backup of Pale Morning");
    chunks.push(chunk as Buffer);
  }
  const bytes = Buffer.concat(chunks);
  if (crc32(bytes) !== entry.crc32) throw new Error("what it says of itself was changed");
  return bytes;
}

/** So many archives that were made on their own are kept; those that somebody asked for stay. */
const MOST_KEPT = 14;

/** Removes the oldest archives that were made on their own. @returns their names */
export async function dropOldBackups(folder: string): Promise<string[]> {
  const own = (await backupsIn(folder)).filter(({ reason }) => reason !== "asked");
  const old = own.slice(MOST_KEPT).map(({ name }) => name);
  for (const name of old) rmSync(join(folder, name), { force: true });
  return old;
}
