import { rmSync } from "node:fs";
import { openFarmFile } from "#db/farm-file.server.ts";
import { makeDemoFarm } from "#demo/make-demo-farm.ts";

/** Makes the demo farm anew in its own file: tsx commands/make-demo.ts FILE */
const [path] = process.argv.slice(2);
if (!path) throw new Error("name the file to make: tsx commands/make-demo.ts FILE");
for (const suffix of ["", "-wal", "-shm"]) rmSync(`${path}${suffix}`, { force: true });
const file = openFarmFile(path);
makeDemoFarm(file);
file.close();
