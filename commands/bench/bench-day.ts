import type { LineDay, LineLot } from "#core/processing-line/line-day.ts";
import { lotOf, ORDINARY_DAY, person } from "#core/processing-line/line-days-of-tests.ts";

/** A day of so many birds and five people, which every measurement of the line plays. */
export const dayOf = (birds: number, lots: readonly LineLot[] = [lotOf({ birds })]): LineDay => ({
  ...ORDINARY_DAY,
  lots,
  people: [
    person("Tobias", ["cones", "scald", "pluck"]),
    person("Maren", ["gut", "rinse"]),
    person("Ines", ["gut", "rinse", "giblets"]),
    person("Juno", ["feet", "pins", "gut"]),
    person("Oskar", ["feet", "pins", "giblets", "rinse"]),
  ],
  kit: { ...ORDINARY_DAY.kit, tankBirds: birds },
  breaks: [{ fromMinute: 300, minutes: 40 }],
});
