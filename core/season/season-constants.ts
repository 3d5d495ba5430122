import type { BirdKind } from "#core/growth/bird-kind.ts";

/** Ages between which a kind is worth a day, days: before the first too small, after the last off its legs or too old. Choice. See docs/sources.md#season. */
export const AGE_WINDOW_DAYS: Readonly<
  Record<BirdKind, { readonly earliest: number; readonly latest: number }>
> = {
  fast: { earliest: 42, latest: 63 },
  slow: { earliest: 63, latest: 98 },
  mature: { earliest: 84, latest: 154 },
};

/** Days past the latest age for which a day may still be proposed, at a price, where that rule is a wish. Choice. */
export const LATE_GRACE_DAYS = 14;

/** Room of a cut-up bird in the freezer against a whole one. Choice. */
export const CUT_FREEZER_ROOM = 0.75;

/** From this high on birds suffer in crates and flies are bad; the day should be early or another. Choice. See docs/sources.md#season. */
export const HOT_DAY_CELSIUS = 29;

/** On a day that gets no warmer, hoses freeze and hands are slow: none is planned so far ahead. Choice. */
export const COLD_DAY_CELSIUS = 5;

/** Where a farm has said nothing. Money in US cents stands for the farm's own. Choices. See docs/sources.md#season. */
export const SEASON_DEFAULTS = {
  wholeCentsPerKilogram: 1102,
  cutCentsPerKilogram: 1433,
  oddSizeOffPercent: 15,
  leavingAWeek: 2,
  longestLineMinutes: 300,
  leastBirds: 8,
  feedCentsPerKilogram: 84,
} as const;

/** Planning backwards. Choices. See docs/sources.md#chicks. */
export const CHICKS = {
  /** Lost from the post to the kill, share. */
  lossShare: { fast: 0.06, slow: 0.05, mature: 0.07 } satisfies Record<BirdKind, number>,
  /** A hatchery wants to know so long before. */
  orderAheadDays: 21,
  /** The brooder is free again after so long. */
  brooderDays: 28,
  /** "None bigger" allows so few of them to be. */
  biggerShare: 0.05,
  /** Chicks that hatch into days whose highs are lower, °C, need more than a brooder lamp. */
  coldHighCelsius: 10,
  /** No day is proposed on these dates, month and day. */
  daysOff: ["12-24", "12-25", "12-31", "01-01"] as readonly string[],
  /** Where no size is asked for, the kind's usual age: the middle of 7 to 9, 11 to 13 and 14 to 20 weeks. */
  usualAgeDays: { fast: 56, slow: 84, mature: 112 } satisfies Record<BirdKind, number>,
} as const;
