import { createWriteStream } from "node:fs";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { parseArgs } from "node:util";
import { dataFile, sayTrouble } from "#commands/file/file-command.ts";
import { exportedFarm } from "#db/life/farm-json.server.ts";
import { fileTrouble } from "#db/life/file-trouble.server.ts";
import { openFile } from "#db/open-file.server.ts";

/** npm run -s export [-- --to farm.json]: writes the whole farm as JSON, also while it is served; to the shell where no file is named. */
const { values } = parseArgs({ options: { data: { type: "string" }, to: { type: "string" } } });
const path = dataFile(values.data);
const trouble = fileTrouble(path);
if (trouble) process.exit(sayTrouble(trouble));
// Only a file of this version is written.
openFile(path).close();
await pipeline(
  Readable.from(exportedFarm(path)),
  values.to === undefined ? process.stdout : createWriteStream(values.to),
);
if (values.to !== undefined) console.log(`Exported ${path} to ${values.to}.`);
