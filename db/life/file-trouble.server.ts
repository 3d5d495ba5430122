import { accessSync, constants, existsSync, mkdirSync, statSync } from "node:fs";
import { dirname } from "node:path";
import BetterSqlite3 from "better-sqlite3";
import type { FileTrouble, TroubleKind } from "#core/file/file-life.ts";
import { newestVersion } from "#db/open-file.server.ts";

/** A data file that can't be opened, with the reason in a form that can be put into words. */
export class FileTroubleError extends Error {
  constructor(readonly trouble: FileTrouble) {
    super(`${trouble.path}: ${trouble.kind}`);
  }
}

/**
 * Looks at a data file before anything is written to it; undefined where it may be opened. A file that is not there yet may.
 * What is damaged deep inside is found by `damageOf`, which reads all of it.
 */
export function fileTrouble(path: string): FileTrouble | undefined {
  const kind = folderTrouble(path) ?? (existsSync(path) ? contentTrouble(path) : undefined);
  return kind && { kind, path };
}

/** Whether a file holds something and is of an older version, so that opening it changes its tables. */
export function isOlder(path: string): boolean {
  if (!existsSync(path) || statSync(path).size === 0) return false;
  const database = new BetterSqlite3(path, { readonly: true });
  try {
    const version = database.pragma("user_version", { simple: true }) as number;
    return version > 0 && version < newestVersion();
  } finally {
    database.close();
  }
}

function folderTrouble(path: string): TroubleKind | undefined {
  try {
    mkdirSync(dirname(path), { recursive: true });
    accessSync(dirname(path), constants.W_OK);
    return undefined;
  } catch (error) {
    return isFull(error) ? "disk-full" : "no-folder";
  }
}

function contentTrouble(path: string): TroubleKind | undefined {
  if (!statSync(path).isFile()) return "foreign";
  try {
    accessSync(path, constants.R_OK | constants.W_OK);
  } catch {
    return "read-only";
  }
  if (statSync(path).size === 0) return undefined;
  try {
    const database = new BetterSqlite3(path, { readonly: true });
    try {
      const version = database.pragma("user_version", { simple: true }) as number;
      const tables = database
        .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'")
        .all()
        .map(({ name }) => name);
      if (tables.length === 0) return undefined;
      if (version === 0 || !tables.includes("entry") || !tables.includes("farm")) return "foreign";
      return version > newestVersion() ? "newer" : undefined;
    } finally {
      database.close();
    }
  } catch (error) {
    return codeOf(error) === "SQLITE_NOTADB" ? "foreign" : troubleOfError(error);
  }
}

/** What an error of opening or writing says of the file. */
export function troubleOfError(error: unknown): TroubleKind {
  if (isFull(error)) return "disk-full";
  const code = codeOf(error);
  return code.startsWith("SQLITE_READONLY") || code === "EACCES" || code === "EROFS" ? "read-only" : "broken";
}

const codeOf = (error: unknown): string => String((error as { code?: unknown } | undefined)?.code ?? "");
const isFull = (error: unknown): boolean => ["ENOSPC", "EDQUOT", "SQLITE_FULL"].includes(codeOf(error));

/**
 * Reads a whole data file and says what is damaged in it; empty where nothing is. Blocks for as long as that takes: not for the
 * thread that answers pages.
 */
export function damageOf(path: string): string[] {
  try {
    const database = new BetterSqlite3(path, { readonly: true });
    try {
      const found = database.pragma("quick_check") as { quick_check: string }[];
      const orphans = database.pragma("foreign_key_check") as { table: string }[];
      return [
        ...found.map(({ quick_check }) => quick_check).filter((line) => line !== "ok"),
        ...[...new Set(orphans.map(({ table }) => table))].map(
          (table) => `${table} names rows that are not there`,
        ),
      ];
    } finally {
      database.close();
    }
  } catch (error) {
    return [error instanceof Error ? error.message : String(error)];
  }
}
