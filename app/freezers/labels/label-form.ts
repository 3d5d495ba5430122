import { z } from "zod";
import { amount, choice, optional, tick, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { LABEL_PARTS, LEAST_LETTER_POINTS } from "#core/label/label-parts.ts";

const size = (ask: string, most: number) => amount({ most, ask });

/** The farm's label: its size, its words, and what its local rule asks for. */
export const labelForm = z
  .object({
    width: size("Enter how wide the label is", 300),
    height: size("Enter how high the label is", 300),
    letterPoints: size("Enter the size of the letters", 40),
    farmLine: optional(words(200, "")),
    storageLine: optional(words(200, "")),
    handlingLine: optional(words(400, "")),
    exemptionLine: optional(words(400, "")),
    codeKind: choice(["qr", "code-128"], "Choose the kind of code"),
    rows: wholeNumber({ least: 1, most: 30, ask: "Enter how many labels stand below each other" }),
    columns: wholeNumber({ least: 1, most: 12, ask: "Enter how many labels stand side by side" }),
    ...(Object.fromEntries(LABEL_PARTS.map((part) => [`needs-${part}`, tick])) as {
      [Name in `needs-${(typeof LABEL_PARTS)[number]}`]: typeof tick;
    }),
  })
  .transform((of, context) => {
    if (of.letterPoints < LEAST_LETTER_POINTS)
      context.addIssue({
        code: "custom",
        path: ["letterPoints"],
        message: `No one can read letters below ${LEAST_LETTER_POINTS} points. Use ${LEAST_LETTER_POINTS} or more`,
      });
    for (const [field, least] of [
      ["width", 20],
      ["height", 15],
    ] as const)
      if (of[field] < least)
        context.addIssue({ code: "custom", path: [field], message: `Enter at least ${least} mm` });
    return {
      widthMillimeters: of.width,
      heightMillimeters: of.height,
      letterPoints: of.letterPoints,
      farmLine: of.farmLine ?? "",
      storageLine: of.storageLine ?? "",
      handlingLine: of.handlingLine ?? "",
      exemptionLine: of.exemptionLine ?? "",
      codeKind: of.codeKind,
      rows: of.rows,
      columns: of.columns,
      required: LABEL_PARTS.filter((part) => of[`needs-${part}`]),
    };
  });
