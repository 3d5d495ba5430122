import { bin, ensureBuilt, ensureInstalled, run } from "./prepare.mjs";

/** npm run soak -- [--part gates] [--short] [--seed 1] */
ensureInstalled();
ensureBuilt();
run(bin("tsx"), ["commands/soak.ts", ...process.argv.slice(2)]);
