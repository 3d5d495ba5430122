import { rmSync } from "node:fs";
import { openFarmFile } from "#db/farm-file.server.ts";
import { DEMO_MOMENTS, type DemoMoment, makeMoment } from "#demo/demo-moments.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

/** Makes the demo farm anew in its own file: make-demo FILE [MOMENT] */
const [path, moment] = process.argv.slice(2);
if (!path) throw new Error("name the file to make: make-demo FILE [MOMENT]");
const isMoment = (name: string): name is DemoMoment => name in DEMO_MOMENTS;
if (moment !== undefined && !isMoment(moment))
  throw new Error(`there is no moment ${moment}: ${Object.keys(DEMO_MOMENTS).join(", ")}`);
for (const suffix of ["", "-wal", "-shm"]) rmSync(`${path}${suffix}`, { force: true });
const file = openFarmFile(path);
makeDemoFarm(file);
if (moment) makeMoment(file, moment);
file.close();
