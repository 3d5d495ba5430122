import { createHash } from "node:crypto";
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import BetterSqlite3, { type Database } from "better-sqlite3";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { keepChanges } from "#db/history/keep-changes.server.ts";
import { plainDatabase } from "#db/plain-database.server.ts";

/** What a connection notes beside what it writes. */
export interface Writing {
  /** The joined device that the present call is for; undefined on the farm's own computer. */
  readonly visiting?: () => number | undefined;
  /** The farm's clock, epoch milliseconds UTC. */
  readonly now?: () => number;
}

interface Migration {
  readonly number: number;
  readonly sql: string;
}

/**
 * Opens a farm's data file, makes it if it is not there, and brings it up to date.
 * A file that has to be changed is copied first and the change tried on the copy.
 *
 * @param path of the file, or `:memory:`
 * @param writing whose writes these are, and when
 */
export function openFile(path: string, { visiting, now = Date.now }: Writing = {}): Database {
  if (path !== ":memory:") mkdirSync(dirname(path), { recursive: true });
  const database = plainDatabase(path);
  database.pragma("journal_mode = WAL");
  database.pragma("synchronous = FULL");
  database.pragma("foreign_keys = ON");
  database.pragma("busy_timeout = 5000");
  database.function("visiting_device", () => visiting?.() ?? null);
  database.function("present_moment", () => now());
  database.function("present_day", (timeZone) => localDayOf(now(), String(timeZone)));
  const pending = migrations().filter(({ number }) => number > versionOf(database));
  if (pending.length > 0 && versionOf(database) > 0) tryOnCopy(database, path, pending);
  applyAll(database, pending);
  keepChanges(database);
  return database;
}

/** Makes a file as a version had it, with nothing in it but what its tables begin with. @throws {Error} if there is no such version */
export function makeFile(path: string, version: number): Database {
  const until = migrations().filter(({ number }) => number <= version);
  if (until.at(-1)?.number !== version) throw new Error(`there is no version ${version} of the data file`);
  const database = plainDatabase(path);
  applyAll(database, until);
  return database;
}

function versionOf(database: Database): number {
  return database.pragma("user_version", { simple: true }) as number;
}

function applyAll(database: Database, pending: readonly Migration[]): void {
  // What a migration may ask for beside SQL's own.
  database.function("sha256_of", { deterministic: true }, (bytes) =>
    createHash("sha256")
      .update(bytes as Buffer)
      .digest("hex"),
  );
  for (const { number, sql } of pending) {
    database
      .transaction(() => {
        database.exec(sql);
        database.pragma(`user_version = ${number}`);
      })
      .immediate();
  }
}

/** Leaves a backup beside the file, as it was before. */
function tryOnCopy(database: Database, path: string, pending: readonly Migration[]): void {
  if (path === ":memory:") return;
  const backup = `${path}.before-${pending[0]!.number}`;
  const trial = `${path}.trial`;
  removeFile(backup);
  removeFile(trial);
  database.prepare("VACUUM INTO ?").run(backup);
  copyFileSync(backup, trial);
  const copy = new BetterSqlite3(trial);
  try {
    applyAll(copy, pending);
  } finally {
    copy.close();
    removeFile(trial);
  }
}

/**
 * Removes a data file with what SQLite keeps beside it. A trial that was ended in the middle leaves its journal, and that would be
 * played back into the next one.
 */
function removeFile(path: string): void {
  for (const beside of ["", "-journal", "-wal", "-shm"]) rmSync(`${path}${beside}`, { force: true });
}

/** The number of the last migration: no file of ours has a greater one. */
export const newestVersion = (): number => migrations().at(-1)!.number;

function migrations(): Migration[] {
  const folder = migrationsFolder();
  return readdirSync(folder)
    .filter((name) => name.endsWith(".sql"))
    .toSorted()
    .map((name) => ({ number: Number(name.slice(0, 4)), sql: readFileSync(join(folder, name), "utf8") }));
}

/** The folder stands in the repository; this code may run from it or from the build below it. */
function migrationsFolder(): string {
  for (
    let folder = dirname(fileURLToPath(import.meta.url));
    folder !== dirname(folder);
    folder = dirname(folder)
  ) {
    const candidate = join(folder, "db", "migrations");
    if (existsSync(candidate)) return candidate;
  }
  throw new Error("db/migrations was not found above this file");
}
