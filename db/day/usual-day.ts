import type { DayChoiceRow } from "#db/day/day-queries.server.ts";

/** What stands for a day where no one said otherwise: a break at noon, two at the pins, giblets kept, a drum, one water, no brine. */
export const USUAL_DAY = {
  breakAtMinute: 12 * 60,
  pinPlaceCount: 2,
  keepsGiblets: 1,
  keepsFeet: 0,
  packsSameDay: 0,
  isRainExpected: 0,
  pluckBy: "drum",
  changeWaterBirds: null,
  brinePermille: null,
  crew: [],
} as const satisfies Partial<DayChoiceRow>;
