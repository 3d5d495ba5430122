import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";

const markOf = (path: string): string => `${path}.served-by`;

/** Marks a data file as served by this process, until it ends. */
export function markServed(path: string): void {
  writeFileSync(markOf(path), String(process.pid));
  process.once("exit", () => {
    if (servedBy(path) === process.pid) rmSync(markOf(path), { force: true });
  });
}

/** The number of the process that serves a data file; undefined where none does. A mark that a power cut left behind counts for nothing. */
export function servedBy(path: string): number | undefined {
  if (!existsSync(markOf(path))) return undefined;
  const pid = Number(readFileSync(markOf(path), "utf8"));
  if (!Number.isInteger(pid) || pid <= 0) return undefined;
  try {
    process.kill(pid, 0);
    return pid;
  } catch {
    return undefined;
  }
}
