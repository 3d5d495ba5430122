import { createContext, redirect } from "react-router";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

/** A farm as a request finds it: its data file, and its clock in epoch milliseconds UTC. */
export interface FarmContext {
  readonly file: FarmFile;
  readonly now: () => number;
  /** The same farm with its money, where this is the farm of somebody who sees none. */
  readonly whole?: FarmContext;
}

/** The farm with its money, whoever asks: for what is kept, or printed on a label, and not shown to them. */
export const wholeOf = (here: FarmContext): FarmContext => here.whole ?? here;

/** Set for every request by the root's middleware. */
export const farmContext = createContext<FarmContext>();

/** The farm; a new file is sent to the Farm page first, where the farm is set up. */
export function requireFarm(here: FarmContext): Farm {
  const farm = here.file.farm();
  if (!farm) throw redirect("/start");
  return farm;
}
