import { redirect } from "react-router";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import { type FarmFile, openFarmFile } from "#db/farm-file.server.ts";

/** Kept across reloads of this module in development, so that one process holds one connection. */
const kept = globalThis as { paleMorningFile?: FarmFile };

/** The farm's data file, opened at first use and closed when the process ends. */
export function farmFile(): FarmFile {
  if (!kept.paleMorningFile) {
    const path = process.env.PALE_MORNING_DATA;
    if (!path) throw new Error("PALE_MORNING_DATA must name the data file");
    const file = openFarmFile(path);
    process.once("exit", () => file.close());
    kept.paleMorningFile = file;
  }
  return kept.paleMorningFile;
}

/** The farm; a new file is sent to the Farm page first, where the farm is set up. */
export function requireFarm(): Farm {
  const farm = farmFile().farm();
  if (!farm) throw redirect("/farm");
  return farm;
}
