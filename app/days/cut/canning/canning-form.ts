import { z } from "zod";
import { tick, wholeNumber } from "#app/ui/read/read-field.ts";

const MOST_JARS = 200;

/** A load of the canner that is done: its process, and how many lids sealed. */
export const canningForm = z
  .object({
    processId: wholeNumber({ least: 1, most: 1_000_000_000, ask: "Choose the process that was followed" }),
    jars: wholeNumber({ least: 1, most: MOST_JARS, ask: "Enter how many jars went in" }),
    sealed: wholeNumber({ most: MOST_JARS, ask: "Enter how many lids sealed" }),
    isAsTested: tick,
  })
  .refine(({ isAsTested }) => isAsTested, {
    path: ["isAsTested"],
    message: "Jars that were not processed this way are refrigerated or frozen. Tick this only if they were",
  })
  .refine(({ jars, sealed }) => sealed <= jars, {
    path: ["sealed"],
    message: "More lids sealed than jars went in. Check both counts",
  });
