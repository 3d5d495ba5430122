import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** What stands for a day where no one said otherwise: a break at noon, two at the pinning table, giblets kept, a drum, one water, no brine. */
export const USUAL_DAY = {
  breakAtMinute: 12 * 60,
  pinPlaces: 2,
  keepsGiblets: true,
  keepsFeet: false,
  packsSameDay: false,
  isRainExpected: false,
  pluckBy: "drum",
  changeWaterBirds: undefined,
  brineFraction: undefined,
  crew: [],
} as const satisfies Partial<DatedChoices>;
