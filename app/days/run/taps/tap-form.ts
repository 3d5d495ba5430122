import { z } from "zod";
import { entryId } from "#app/ui/read/read-field.ts";
import { FACT_KINDS } from "#core/day/run/day-fact.ts";

const optionalNumber = z
  .string()
  .regex(/^-?\d{1,4}(\.\d{1,6})?$/)
  .transform(Number)
  .optional();

/** One tap as it is sent. What its kind needs is checked by factFault. */
export const TapForm = z.object({
  entryId,
  kind: z.enum(FACT_KINDS),
  note: z.string().trim().max(1000).default(""),
  at: z
    .string()
    .regex(/^\d{12,14}$/)
    .transform(Number)
    .optional(),
  person: z.string().trim().max(60).default(""),
  device: z.string().max(64).default(""),
  birds: optionalNumber,
  number: optionalNumber,
  celsius: optionalNumber,
  bags: optionalNumber,
  word: z.string().max(40).optional(),
  of: entryId.optional(),
  /** The data file that the phone means; a page without JavaScript names none. */
  file: z.string().max(32).optional(),
  /** The last change that the phone knows of: its answer carries what came after. */
  after: z.string().default("0"),
  answer: z.enum(["json"]).optional(),
});
