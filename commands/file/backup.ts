import { parseArgs } from "node:util";
import { dataFile, sayTrouble } from "#commands/file/file-command.ts";
import { writeBackup } from "#db/life/backup-archive.server.ts";
import { backupFolder } from "#db/life/backup-folder.server.ts";
import { fileTrouble } from "#db/life/file-trouble.server.ts";

/** npm run backup [-- --folder /media/stick]: packs the data file, also while it is served. */
const { values } = parseArgs({ options: { data: { type: "string" }, folder: { type: "string" } } });
const path = dataFile(values.data);
const folder = values.folder ?? backupFolder(path, process.env);
const trouble = fileTrouble(path);
if (trouble) process.exit(sayTrouble(trouble));
try {
  const { name, bytes } = await writeBackup(path, folder, { madeAt: Date.now(), reason: "asked" });
  console.log(`Backed up ${path} to ${folder}/${name} (${Math.ceil(bytes / 1024)} kB of data).`);
} catch (error) {
  console.error(`Nothing was backed up: ${error instanceof Error ? error.message : error}.`);
  process.exit(1);
}
