export const WITHDRAWAL_METHODS = ["short", "overnight", "grass_day", "grain_day"] as const;
export type WithdrawalMethod = (typeof WITHDRAWAL_METHODS)[number];

export interface WithdrawalRule {
  /** Hours off feed that a bird should have been when killed; both edges count as inside. */
  readonly windowHours: readonly [number, number];
  /** Live weight lost, per cent an hour: in the first hours, and after them. */
  readonly shrinkPercentPerHour: readonly [number, number];
}

/**
 * The windows of four methods. "short" is the usual advice of extension services; for "grass_day" and
 * "grain_day" the hours are practice, not science (counted from the last feed of any sort for grain_day).
 * See docs/sources.md#withdrawal.
 */
export const WITHDRAWAL: Readonly<Record<WithdrawalMethod, WithdrawalRule>> = {
  short: { windowHours: [8, 12], shrinkPercentPerHour: [0.4, 0.25] },
  overnight: { windowHours: [12, 16], shrinkPercentPerHour: [0.4, 0.25] },
  grass_day: { windowHours: [20, 28], shrinkPercentPerHour: [0.2, 0.2] },
  grain_day: { windowHours: [8, 12], shrinkPercentPerHour: [0.35, 0.25] },
};

/** After so many hours shrink is at its later rate, and is carcass as well as gut. See docs/sources.md#withdrawal. */
export const SHRINK_BREAK_HOURS = 6;

/** Feed pulled at first light was never eaten from: birds need about so long to fill their crops. See docs/sources.md#withdrawal. */
export const DAWN_FEED_HOURS = 0.5;

/** Kept in hand against an early start. See docs/sources.md#withdrawal. */
export const FEED_OFF_BUFFER_HOURS = 0.5;
