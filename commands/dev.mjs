import { join } from "node:path";
import { bin, ensureInstalled, root, run } from "./prepare.mjs";

/** Serves the sources and follows them as they change, on a data file of its own. */
ensureInstalled();
process.env.PALE_MORNING_DATA ??= join(root, ".data", "dev.sqlite");
run(bin("react-router"), ["dev", ...process.argv.slice(2)]);
