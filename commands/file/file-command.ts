import { existsSync } from "node:fs";
import { troubleInWords } from "#app/words/file-words.ts";
import { DEFAULT_LOCALE } from "#app/words/locale.ts";
import { type Show, showFor } from "#app/words/show.ts";
import { defaultDataFile } from "#commands/data-folder.mjs";
import { ownTimeZone } from "#commands/file/own-time-zone.ts";
import type { FileTrouble } from "#core/file/file-life.ts";

/** The data file that a command is about: named, or the farm's own. Ends the command where there is none. */
export function dataFile(named: string | undefined): string {
  const path = named ?? process.env.PALE_MORNING_DATA ?? defaultDataFile("farm.sqlite");
  if (existsSync(path)) return path;
  console.error(`There is no data file at ${path}. Name it: -- --data /path/to/farm.sqlite`);
  process.exit(1);
}

/** @returns the exit code */
export function sayTrouble(trouble: FileTrouble): number {
  const { what, help } = troubleInWords(trouble, undefined, shellShow());
  console.error(`${trouble.path}: ${what} ${help}`);
  return 1;
}

/** Words for the shell, in the machine's own time zone. */
export const shellShow = (): Show =>
  showFor({ unitSystem: "us", currency: "USD", locale: DEFAULT_LOCALE, timeZone: ownTimeZone() });
