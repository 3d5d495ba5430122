import { join } from "node:path";
import { parseArgs } from "node:util";
import { bin, ensureBuilt, ensureInstalled, root, run } from "./prepare.mjs";
import { startDevices } from "./simulated-devices.mjs";

/**
 * Makes the demo farm anew in its own file and serves it with its devices on; its clock starts on Thursday 17 September 2026, 06:12, or at the
 * moment that is named: npm run demo -- --moment running
 */
const { values } = parseArgs({ options: { moment: { type: "string" } } });
ensureInstalled();
ensureBuilt();
const file = join(root, ".data", "demo.sqlite");
run(bin("tsx"), ["commands/make-demo.ts", file, ...(values.moment ? [values.moment] : [])]);
const { register } = await import("tsx/esm/api");
register();
process.env.PALE_MORNING_DATA = file;
if (values.moment) {
  const { DEMO_MOMENTS } = await import("../demo/demo-moments.ts");
  process.env.PALE_MORNING_CLOCK ??= DEMO_MOMENTS[values.moment].clock;
}
process.env.PALE_MORNING_CLOCK ??= "2026-09-17T10:12:00Z";
process.env.NODE_ENV ??= "production";
startDevices();
await import(join(root, "commands", "serve.ts"));
