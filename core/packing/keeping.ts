/** Mean length of a month, days. */
const DAYS_PER_MONTH = 365.25 / 12;
const MILLISECONDS_PER_DAY = 86_400_000;

/** Whether a pack made at one instant is past so many months of keeping at another. Quality, not safety. See docs/sources.md#products. */
export const isPastKeeping = (packedAt: number, keepsMonths: number, now: number): boolean =>
  now - packedAt > keepsMonths * DAYS_PER_MONTH * MILLISECONDS_PER_DAY;
