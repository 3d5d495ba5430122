import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

/** Folder of the application: this code may run from it or from the build below it. */
export function rootFolder(): string {
  for (
    let folder = dirname(fileURLToPath(import.meta.url));
    folder !== dirname(folder);
    folder = dirname(folder)
  ) {
    if (existsSync(join(folder, "package.json"))) return folder;
  }
  throw new Error("package.json was not found above this file");
}
