import { z } from "zod";
import { optional, wholeNumber } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import type { Need } from "#core/day/season/chicks-to-order.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const count = optional(wholeNumber({ most: 10_000, ask: "" }));

/** What is to be in the freezer. */
export const chicksForm = (unitSystem: UnitSystem, today: string) =>
  z
    .object({
      weekly: optional(wholeNumber({ most: 100, ask: "" })),
      gate: count,
      dated: count,
      by: optional(localDay({ ask: "", from: { day: today, problem: "That date has passed" } })),
      most: optional(weight({ unitSystem, ask: "", range: [0.5, 10], what: "a dressed chicken" })),
    })
    .superRefine(({ weekly, gate, dated, by }, context) => {
      const fault = (path: string[], message: string) => context.addIssue({ code: "custom", path, message });
      if (!weekly && !gate && !dated) fault([], "Enter how many birds you need in at least one field");
      if (dated && by === undefined) fault(["by"], "Enter the date");
    });

const WEEKS_A_YEAR = 52;

export function needsOf({ weekly, gate, dated, by }: z.output<ReturnType<typeof chicksForm>>): Need[] {
  return [
    { what: "for the household", birds: (weekly ?? 0) * WEEKS_A_YEAR, by: undefined },
    { what: "to sell", birds: gate ?? 0, by: undefined },
    { what: "", birds: dated ?? 0, by: by ?? undefined },
  ].filter(({ birds }) => birds > 0);
}
