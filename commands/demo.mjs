import { join } from "node:path";
import { parseArgs } from "node:util";
import { built, ensureBuilt, ensureInstalled, root, run } from "./prepare.mjs";
import { startDevices } from "./simulated-devices.mjs";

/**
 * Makes the demo farm anew in its own file and serves it with its devices on; its clock starts on Thursday 17 September 2026, 06:12, or at the
 * moment that is named: npm run demo -- --moment running
 */
const { values } = parseArgs({ options: { moment: { type: "string" } } });
ensureInstalled();
ensureBuilt();
const file = join(root, ".data", "demo.sqlite");
run(process.execPath, [built("commands/make-demo.ts"), file, ...(values.moment ? [values.moment] : [])]);
process.env.PALE_MORNING_DATA = file;
if (values.moment) {
  const { DEMO_MOMENTS } = await import(built("demo/demo-moments.ts"));
  process.env.PALE_MORNING_CLOCK ??= DEMO_MOMENTS[values.moment].clock;
}
process.env.PALE_MORNING_CLOCK ??= "2026-09-17T10:12:00Z";
process.env.NODE_ENV ??= "production";
startDevices();
await import(built("commands/serve.ts"));
