import { existsSync, readFileSync, rmSync, statSync } from "node:fs";
import { parseArgs } from "node:util";
import { defaultDataFile } from "#commands/data-folder.mjs";
import { sayTrouble } from "#commands/file/file-command.ts";
import { backupFolder } from "#db/life/backup-folder.server.ts";
import { ImportFault, importFarm } from "#db/life/farm-json.server.ts";
import { FileTroubleError } from "#db/life/file-trouble.server.ts";
import { putInPlace } from "#db/life/restore.server.ts";
import { servedBy } from "#db/life/served-by.server.ts";

/** Longer texts can't be held by the program that reads them. */
const MOST_MEGABYTES = 400;

/**
 * npm run import -- farm.json [--yes]: makes the farm of an export. Where a data file stands it is replaced only with --yes, while Pale
 * Morning does not run, and kept as a backup.
 */
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: "string" }, yes: { type: "boolean" } },
});
const [from] = positionals;
const path = values.data ?? process.env.PALE_MORNING_DATA ?? defaultDataFile("farm.sqlite");
process.exit(
  from === undefined ? refuse("Name the file to import: npm run import -- farm.json") : await imported(from),
);

async function imported(file: string): Promise<number> {
  if (!existsSync(file)) return refuse(`There is no file ${file}`);
  if (statSync(file).size > MOST_MEGABYTES * 1024 * 1024)
    return refuse(`${file} is larger than ${MOST_MEGABYTES} MB. Use a backup instead: npm run restore`);
  if (existsSync(path) && !values.yes)
    return refuse(
      `${path} stands already. Stop Pale Morning, and run this again with --yes: it is kept as a backup`,
    );
  const pid = servedBy(path);
  if (pid !== undefined)
    return refuse(`Pale Morning is running on this file (process ${pid}). Stop it first`);
  const next = `${path}.importing`;
  rmSync(next, { force: true });
  try {
    importFarm(readFileSync(file, "utf8"), next);
    const place = { path, folder: backupFolder(path, process.env), now: Date.now() };
    const { kept, setAside } = await putInPlace(next, file, place);
    console.log(
      `Imported. What stood before is kept as ${kept?.name ?? setAside ?? "nothing: there was no file"}.`,
    );
    return 0;
  } catch (error) {
    if (error instanceof ImportFault) return refuse(error.message);
    if (error instanceof FileTroubleError) return sayTrouble(error.trouble);
    throw error;
  } finally {
    rmSync(next, { force: true });
  }
}

function refuse(words: string): number {
  console.error(`${words}. Nothing was imported.`);
  return 1;
}
