import { join } from "node:path";
import { bin, ensureBuilt, ensureInstalled, root, run } from "./prepare.mjs";

/** Makes the demo farm anew in its own file and serves it; its clock starts on Thursday 17 September 2026, 06:12. */
ensureInstalled();
ensureBuilt();
const file = join(root, ".data", "demo.sqlite");
run(bin("tsx"), ["commands/make-demo.ts", file]);
process.env.PALE_MORNING_DATA = file;
process.env.PALE_MORNING_CLOCK ??= "2026-09-17T10:12:00Z";
process.env.NODE_ENV ??= "production";
const { register } = await import("tsx/esm/api");
register();
await import(join(root, "commands", "serve.ts"));
