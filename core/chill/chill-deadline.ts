/**
 * Longest time for giblets from the bird to 40 °F, hours: small, warm, and soon spoiled. Often quoted; local rules decide.
 * See docs/sources.md#chill-limits.
 */
export const GIBLET_CHILL_HOURS = 2;

interface ChillLimit {
  readonly belowKilograms: number;
  readonly hours: number;
}

/**
 * Longest time from killing to 40 °F: 4 h under 4 lb, 6 h to 8 lb, 8 h above, at 0.45359237 kg a pound.
 * Commonly quoted, since loosened in federal rules; local rules decide. See docs/sources.md#chill-limits.
 */
const CHILL_LIMITS: readonly ChillLimit[] = [
  { belowKilograms: 1.8144, hours: 4 },
  { belowKilograms: 3.6287, hours: 6 },
  { belowKilograms: Infinity, hours: 8 },
];

/** Longest chilling time commonly quoted for a carcass of a weight, hours. @throws {RangeError} if the weight is not more than 0. */
export function quotedChillHours(carcassKilograms: number): number {
  if (!(carcassKilograms > 0))
    throw new RangeError(`carcass weight must be more than 0 kg, got ${carcassKilograms}`);
  return CHILL_LIMITS.find((limit) => carcassKilograms < limit.belowKilograms)!.hours;
}
