import type { LocalDay } from "#core/calendar/local-day.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";

export interface LiveWeighing {
  readonly weighedOn: LocalDay;
  readonly kilograms: number;
}

export interface Flock {
  readonly kind: BirdKind;
  /** 0 to 1; a half for a straight run. */
  readonly maleShare: number;
  readonly hatchedOn: LocalDay;
  /** Single birds, in any order; may be empty. */
  readonly weighings: readonly LiveWeighing[];
  /** Mean temperature of each day from a day on, °C, of the past and to come. Outside it the weather is not counted. */
  readonly weather?: DailyWeather | undefined;
  /** Birds that were or will be taken, in any order. */
  readonly takings?: readonly Taking[] | undefined;
}

export interface DailyWeather {
  readonly from: LocalDay;
  readonly celsius: readonly number[];
}

export const WHICH_BIRDS = ["as-they-come", "biggest"] as const;
export type WhichBirds = (typeof WHICH_BIRDS)[number];

/** Birds taken out of a flock on a day. */
export interface Taking {
  readonly takenOn: LocalDay;
  readonly birds: number;
  /** Birds that stood there before. */
  readonly ofBirds: number;
  readonly which: WhichBirds;
}
