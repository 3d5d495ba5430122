import type { LotChoices } from "#core/day/plan/plan-input.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";

/** What stands for a day where no one said otherwise: a break at noon, two at the pinning table, a drum, one water, no brine. */
export const USUAL_DAY = {
  breakAtMinute: 12 * 60,
  pinPlaces: 2,
  packsSameDay: false,
  isRainExpected: false,
  rinsesFirst: false,
  coolsAfter: false,
  pluckBy: "drum",
  changeWaterBirds: undefined,
  brineFraction: undefined,
  crew: [],
} as const satisfies Partial<DatedChoices>;

/** And for a lot: its own birds as they come, wherever they stand, with giblets kept and feet not. */
export const USUAL_LOT = {
  ownerId: undefined,
  cutUp: 0,
  whichBirds: "as-they-come",
  scaldMethod: "middle",
  scaldCelsius: undefined,
  withdrawalMethod: "short",
  keepsGiblets: true,
  keepsFeet: false,
  pens: [],
} as const satisfies Omit<LotChoices, "batchId" | "birds">;
