/** Starting medians of a practised adult, minutes a bird or a load: our choice until the farm's own days speak. See docs/sources.md#line. */
export const STATION_MINUTES = {
  kill: 0.6,
  bleed: 2.0,
  scaldLoad: 1.2,
  pluckLoad: 0.7,
  pins: 2.0,
  gut: 4.0,
  rinse: 1.0,
  giblets: 1.2,
  packWhole: 3.5,
  cutUp: 5.5,
  seal: 3.0,
} as const;

export const PRACTICES = ["many", "few", "first"] as const;
export type Practice = (typeof PRACTICES)[number];

/** How much longer hands take that do this a few times a year, or for the first time. See docs/sources.md#line. */
export const PRACTICE_FACTOR: Readonly<Record<Practice, number>> = { many: 1, few: 1.2, first: 1.8 };

/** Spread of whole days about their plan, standard deviation of the logarithm. See docs/sources.md#line. */
export const DAY_SD_LN = 0.18;

/** On the day's clock and not in the line: an hour before the first bird and an hour after the last. See docs/sources.md#line. */
export const SET_UP_MINUTES = 60;
export const CLEAN_UP_MINUTES = 60;
