import { z } from "zod";
import { choice, optional, percent, wholeNumber } from "#app/ui/read/read-field.ts";
import { REST_METHODS } from "#core/rest/rest-part.ts";

/** Parts that a day's birds may rest in. More than these no one keeps apart. */
export const SLOTS = ["1", "2", "3", "4"] as const;
export type Slot = (typeof SLOTS)[number];

const id = optional(wholeNumber({ least: 1, most: 1_000_000_000, ask: "" }));

/** Fields of one part. Without birds there is no part. */
const PART = {
  birds: optional(wholeNumber({ most: 100_000, ask: "Enter how many birds" })),
  lotId: id,
  method: choice(REST_METHODS, "Choose how long they rest"),
  cover: choice(["open", "wrapped"], "Choose whether they are covered"),
  placeId: id,
  salt: optional(percent({ least: 0.1, most: 26, ask: "Enter the strength of the brine" })),
  sugar: optional(percent({ least: 0, most: 30, ask: "Enter the sugar in the brine" })),
  brineHours: optional(wholeNumber({ least: 1, most: 72, ask: "Enter how many hours" })),
};
type PartField = keyof typeof PART;
/** The name of a part's field in the form. */
export const nameOf = (slot: Slot, field: PartField) => `${field}${slot}` as const;

type Shape = {
  [Name in `${PartField}${Slot}`]: (typeof PART)[Name extends `${infer Field extends PartField}${Slot}`
    ? Field
    : never];
};
const SHAPE = Object.fromEntries(
  SLOTS.flatMap((slot) => Object.entries(PART).map(([field, reader]) => [`${field}${slot}`, reader])),
) as unknown as Shape;

/** The whole program: the parts that have birds, and how many birds of which lot. */
export const programForm = z.object(SHAPE).transform((fields, context) => {
  const parts = SLOTS.flatMap((slot) => {
    const birds = fields[nameOf(slot, "birds")] as number | undefined;
    if (!birds) return [];
    const salt = fields[nameOf(slot, "salt")] as number | undefined;
    const brineHours = fields[nameOf(slot, "brineHours")] as number | undefined;
    if ((salt === undefined) !== (brineHours === undefined))
      context.addIssue({
        code: "custom",
        path: [nameOf(slot, salt === undefined ? "salt" : "brineHours")],
        message:
          salt === undefined
            ? "Enter how strong the brine is, or leave its hours empty"
            : "Enter how many hours they lie in the brine, or leave its salt empty",
      });
    return [
      {
        slot,
        birds,
        lotId: fields[nameOf(slot, "lotId")] as number | undefined,
        method: fields[nameOf(slot, "method")] as z.output<typeof PART.method>,
        cover: fields[nameOf(slot, "cover")] as z.output<typeof PART.cover>,
        placeId: fields[nameOf(slot, "placeId")] as number | undefined,
        saltPermille: salt,
        sugarPermille:
          salt === undefined ? undefined : ((fields[nameOf(slot, "sugar")] as number | undefined) ?? 0),
        brineHours,
      },
    ];
  });
  if (parts.length === 0)
    context.addIssue({
      code: "custom",
      path: [nameOf("1", "birds")],
      message: "Enter how many birds rest together",
    });
  return { parts };
});
