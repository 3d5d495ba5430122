import { bin, ensureInstalled, run } from "./prepare.mjs";

/** How fast the heavy parts are, as ratios in one run: npm run bench. See bench.ts. */
ensureInstalled();
ensureInstalled("commands/bench/packages");
run(bin("tsx"), ["commands/bench.ts", ...process.argv.slice(2)]);
