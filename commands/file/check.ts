import { parseArgs } from "node:util";
import { dataFile, sayTrouble } from "#commands/file/file-command.ts";
import { damageOf, fileTrouble } from "#db/life/file-trouble.server.ts";

/** npm run check: reads all of the data file, changes nothing, and says what is damaged. */
const { values } = parseArgs({ options: { data: { type: "string" } } });
const path = dataFile(values.data);
const trouble = fileTrouble(path);
if (trouble) process.exit(sayTrouble(trouble));
const damage = damageOf(path);
if (damage.length === 0) {
  console.log(`${path} was checked. No damage was found.`);
} else {
  console.error(`${path} is damaged. Restore the last backup: npm run restore`);
  for (const line of damage.slice(0, 20)) console.error(`  ${line}`);
  process.exit(1);
}
