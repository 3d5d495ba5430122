import type { BirdKind } from "#core/growth/bird-kind.ts";

/** How heat and cold slow a kind's growth. */
export interface TemperatureRule {
  readonly comfortLowCelsius: number;
  readonly comfortHighCelsius: number;
  readonly coldSlopePerCelsius: number;
  readonly heatSlopePerCelsius: number;
  /** A day never counts for less than this. */
  readonly gainFloor: number;
  /** Up to this age the brooder keeps the weather out, days. */
  readonly brooderUntilDays: number;
}

const shared = {
  comfortLowCelsius: 15,
  comfortHighCelsius: 24,
  coldSlopePerCelsius: 0.008,
  gainFloor: 0.3,
  brooderUntilDays: 21,
};

/** Choices, good to half either way; night relief and humidity are not in them. See docs/sources.md#temperature. */
export const TEMPERATURE_RULE: Readonly<Record<BirdKind, TemperatureRule>> = {
  fast: { ...shared, heatSlopePerCelsius: 0.025 },
  slow: { ...shared, heatSlopePerCelsius: 0.018 },
  mature: { ...shared, heatSlopePerCelsius: 0.015 },
};

/**
 * How much of a day's growth a bird makes on a day of this mean temperature: 1 in the comfortable band, less
 * in heat and cold. See docs/sources.md#temperature.
 *
 * @param ageDays age at the start of the day
 */
export function growthOfDay(ageDays: number, meanCelsius: number, rule: TemperatureRule): number {
  if (ageDays < rule.brooderUntilDays) return 1;
  const heat = Math.max(0, meanCelsius - rule.comfortHighCelsius) * rule.heatSlopePerCelsius;
  const cold = Math.max(0, rule.comfortLowCelsius - meanCelsius) * rule.coldSlopePerCelsius;
  return Math.max(rule.gainFloor, 1 - heat - cold);
}

/**
 * The age at which the curve is read after some days of weather.
 *
 * @param meanCelsiusByDay one mean temperature a day from the start on; may be empty
 */
export function effectiveAge(
  start: { readonly ageDays: number; readonly effectiveAgeDays: number },
  meanCelsiusByDay: readonly number[],
  rule: TemperatureRule,
): number {
  return meanCelsiusByDay.reduce(
    (age, celsius, day) => age + growthOfDay(start.ageDays + day, celsius, rule),
    start.effectiveAgeDays,
  );
}
