/**
 * Medians beside those of the stations (station-table.ts), minutes a bird, of a practiced adult. See docs/sources.md#line.
 */
export const BLEED_MINUTES = 2.0;
/** By hand, with a good scald; the last pins come on top. */
export const PLUCK_BY_HAND_MINUTES = 8.0;
/** A bird that is skinned: carried past the scald, skinned by knife instead of plucked, with no pinfeathers left. */
export const SKINNED_MINUTES = { scald: 0.1, pluck: 5.0, pins: 0.1 } as const;
/** A rinse before the scald, or a cool dip after it: each takes the load so much longer. */
export const RINSE_OR_COOL_MINUTES = 10 / 60;
/** More at the feet for a bird whose feet are kept. */
export const KEPT_FEET_MINUTES = 1.0;

export const PRACTICES = ["many", "few", "first"] as const;
export type Practice = (typeof PRACTICES)[number];

/** How much longer hands take that do this a few times a year, or for the first time. See docs/sources.md#line. */
export const PRACTICE_FACTOR: Readonly<Record<Practice, number>> = { many: 1, few: 1.2, first: 1.8 };

/** Every plan is simulated with this seed, so that two can be compared. */
export const LINE_SEED = 1;

/** Spread of whole days about their plan, standard deviation of the logarithm, once a farm's own days are known. See docs/sources.md#line. */
export const DAY_SD_LN = 0.18;
/** The same on a farm none of whose days is known. See docs/sources.md#line. */
export const FIRST_DAYS_SD_LN = 0.25;
/** Spread of one person's pace from day to day, likewise. */
export const PERSON_SD_LN = 0.15;

/** Spread of one bird's bleeding about its median, coefficient of variation. See docs/sources.md#line. */
export const BLEED_SPREAD = 0.2;

/** A person's first birds at a station take longer: x (1 + 0.4 exp(-n/6)) after n birds. See docs/sources.md#line. */
export const SLOW_START = { extra: 0.4, birds: 6 } as const;

/** After five hours hands slow by 3 % an hour. See docs/sources.md#line. */
export const TIREDNESS = { afterMinutes: 300, perMinute: 0.03 / 60 } as const;

/** Lost at each change of station, minutes. See docs/sources.md#line. */
export const CHANGE_MINUTES = 20 / 60;

/** Rain stretches hands that work outdoors. See docs/sources.md#line. */
export const RAIN_FACTOR = 1.3;

/** Before a break the line is drained: no kill, and no load into the scald, within so many minutes of it. See docs/sources.md#line. */
export const DRAIN_MINUTES = { kill: 5, scald: 3 } as const;

/** Birds killed and not yet chilled, for each person on the line: more only wait longer. See docs/sources.md#line. */
export const BIRDS_IN_LINE_EACH = 3;

/** A bird bleeds at least so long, minutes: it must be dead and still before the scald. See docs/sources.md#line. */
export const BLEED_FLOOR_MINUTES = 1.5;

/** On the day's clock and not in the line: an hour before the first bird and an hour after the last. See docs/sources.md#line. */
export const SET_UP_MINUTES = 60;
export const CLEAN_UP_MINUTES = 60;
