import { z } from "zod";
import { choice, entryId, optional, tick, wholeNumber } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { MOST_PEOPLE } from "#core/processing-line/line-context.ts";
import { PLUCK_BY } from "#core/processing-line/line-day.ts";

/** By how much the start can be put off: until it stops raining, the plucker is here, or water is hot. */
export const LATER_MINUTES = [0, 30, 60, 120, 180] as const;

/** Several values of one name: places in the crew, or people's ids. */
const several = z
  .union([z.string(), z.array(z.string())])
  .default([])
  .transform((values) => [values].flat())
  .pipe(
    z
      .array(
        z
          .string()
          .regex(/^\d{1,9}$/)
          .transform(Number),
      )
      .max(MOST_PEOPLE),
  );

/** What changed, as it is ticked and typed. */
export const changeForm = (planned: number) =>
  z.object({
    missing: several,
    coming: several,
    pluckBy: choice(PLUCK_BY, "Choose how you pluck"),
    isRaining: tick,
    later: choice(["0", "30", "60", "120", "180"], "Choose how much later"),
    iceBags: optional(wholeNumber({ most: 500, ask: "Enter how many bags of ice there are" })),
    birds: wholeNumber({ least: 1, most: planned, ask: `Enter how many birds, up to ${planned}` }),
  });

/** What is done with it: taken as the plan, and the birds left over given a day of their own or none. */
export const acceptForm = (planned: number) =>
  changeForm(planned).extend({
    entryId,
    seen: wholeNumber({ most: 1_000_000, ask: "Open this page again" }),
    what: choice(["accept", "split"], "Choose what to do"),
    splitOn: optional(localDay({ ask: "Enter the day for the other birds" })),
  });

export type Changed = z.output<ReturnType<typeof changeForm>>;

/** Fields as a form sends them, a name that comes more than once as a list. */
export function fieldsOf(sent: URLSearchParams | FormData): Record<string, string | string[]> {
  const fields: Record<string, string | string[]> = {};
  for (const name of new Set(sent.keys())) {
    const values = sent.getAll(name).map(String);
    if (/^[a-zA-Z]{1,20}$/.test(name)) fields[name] = values.length > 1 ? values : values[0]!;
  }
  return fields;
}
