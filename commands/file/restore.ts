import { existsSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import BetterSqlite3 from "better-sqlite3";
import { BACKUP_REASON_WORDS, countsInWords } from "#app/words/file-words.ts";
import { dataFile, sayTrouble, shellShow } from "#commands/file/file-command.ts";
import { backupsIn, readFacts } from "#db/life/backup-archive.server.ts";
import { backupFolder } from "#db/life/backup-folder.server.ts";
import { countsOf } from "#db/life/file-counts.server.ts";
import { FileTroubleError } from "#db/life/file-trouble.server.ts";
import { restoreBackup } from "#db/life/restore.server.ts";
import { servedBy } from "#db/life/served-by.server.ts";

/**
 * npm run restore: lists the backups. npm run restore -- NAME: says what would change. With --yes it is done; Pale Morning must not be
 * running. What stands is kept as a backup of its own first.
 */
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: "string" }, yes: { type: "boolean" } },
});
const show = shellShow();
const path = dataFile(values.data);
const folder = backupFolder(path, process.env);
const [asked] = positionals;
if (asked === undefined) await list();
else await restore(existsSync(asked) ? asked : join(folder, asked));

async function list(): Promise<void> {
  const backups = await backupsIn(folder);
  if (backups.length === 0) console.log(`There is no backup in ${folder} yet.`);
  for (const { name, madeAt, reason, counts } of backups)
    console.log(
      `${name}\n  ${show.dateTime(madeAt)}, ${BACKUP_REASON_WORDS[reason]}: ${countsInWords(counts, show)}`,
    );
}

async function restore(archive: string): Promise<void> {
  try {
    const facts = await readFacts(archive);
    console.log(`The backup: ${countsInWords(facts.counts, show)}.`);
    console.log(`The file now: ${present()}.`);
    if (!values.yes)
      return console.log("Nothing was changed. Stop Pale Morning, then run this again with --yes.");
    const pid = servedBy(path);
    if (pid !== undefined)
      throw new Error(`Pale Morning is running on this file (process ${pid}). Stop it first`);
    const { kept, setAside } = await restoreBackup(archive, { path, folder, now: Date.now() });
    console.log(
      `Restored. What stood before is kept as ${kept?.name ?? setAside ?? "nothing: there was no file"}.`,
    );
  } catch (error) {
    if (error instanceof FileTroubleError) process.exit(sayTrouble(error.trouble));
    console.error(`Nothing was restored: ${error instanceof Error ? error.message : error}.`);
    process.exit(1);
  }
}

function present(): string {
  try {
    const database = new BetterSqlite3(path, { readonly: true });
    const words = countsInWords(countsOf(database), show);
    database.close();
    return words;
  } catch {
    return "can't be read";
  }
}
