import { z } from "zod";
import { choice, money, optional, words } from "#app/ui/read/read-field.ts";
import { temperature } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";

const span = { fromOn: localDay({ ask: "Enter the first day" }), toOn: optional(localDay({ ask: "" })) };

/** The last day may be left out, and then it is the first; it never comes before it. */
function inOrder<Value extends { fromOn: string; toOn: string | undefined }>(
  value: Value,
  context: z.RefinementCtx,
) {
  if (value.toOn !== undefined && value.toOn < value.fromOn)
    context.addIssue({
      code: "custom",
      path: ["toOn"],
      message: "The last day is before the first. Swap them",
    });
}

export const markForm = z
  .object({
    ...span,
    kind: choice(["out", "market", "note"], "Choose the kind of day"),
    what: words(100, "Enter what is happening, such as harvest market"),
    price: optional(money("")),
  })
  .superRefine(inOrder);

export const bookingForm = z
  .object({ ...span, thing: words(60, "Enter what is booked, such as drum plucker") })
  .superRefine(inOrder);

export const weatherForm = (unitSystem: UnitSystem) =>
  z
    .object({
      ...span,
      mean: temperature({
        unitSystem,
        least: -40,
        most: 50,
        ask: "Enter the average temperature, day and night",
      }),
      what: optional(words(100, "")),
    })
    .superRefine(inOrder);
