import { createRequire } from "node:module";
import { fileURLToPath } from "node:url";

const load = createRequire(fileURLToPath(new URL("packages/package.json", import.meta.url)));

/** A package that only the bench needs, from commands/bench/packages, which `npm run bench` installs. */
export const benchPackage = (name: string): unknown => load(name);
