import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

/** Folder of the application, which holds `workers/` and `devices/`: this code may run from it or from the build below it. */
export function rootFolder(): string {
  for (
    let folder = dirname(fileURLToPath(import.meta.url));
    folder !== dirname(folder);
    folder = dirname(folder)
  ) {
    if (existsSync(join(folder, "workers", "start-worker.mjs"))) return folder;
  }
  throw new Error("workers/ was not found above this file");
}
