import { z } from "zod";
import { choice, optional, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { CUTTING_TOOLS } from "#core/cutting/cutting-constants.ts";

const id = optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" }));

/** How a day's birds are cut up and sealed. */
export const cutForm = z.object({
  schemeId: id,
  personId: id,
  tool: choice(CUTTING_TOOLS, "Choose what the birds are cut with"),
  isHomeCook: tick,
  packsPerCycle: wholeNumber({ least: 1, most: 12, ask: "Enter how many packs the sealer takes at once" }),
});
