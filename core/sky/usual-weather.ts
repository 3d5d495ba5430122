import { dayNumber } from "#core/calendar/local-day.ts";

/** Temperatures of one day, °C. */
export interface DayTemperatures {
  readonly meanCelsius: number;
  readonly lowCelsius: number;
  readonly highCelsius: number;
}

const DAYS_A_YEAR = 365.2425;
/** The warmest day of a northern year comes about a month after the longest: 21 July. */
const WARMEST_NORTH = dayNumber("2025-07-21");
const EQUATOR_CELSIUS = 27;
const CELSIUS_PER_SQUARE_DEGREE = 0.0083;
const SWING_PER_DEGREE = 0.26;
const MOST_SWING_CELSIUS = 16;
const NIGHT_TO_DAY_CELSIUS = 5.5;

/**
 * What the weather usually is at a latitude near sea level on a day, by its number: a year's mean that falls towards the poles, and
 * a swing about it. Coarse, good to some 4 °C; the sea and hills are not in it. See docs/sources.md#weather.
 */
export function usualTemperatures(latitude: number, number: number): DayTemperatures {
  const size = Math.abs(latitude);
  const swing = Math.min(MOST_SWING_CELSIUS, SWING_PER_DEGREE * size) * (latitude < 0 ? -1 : 1);
  const turn = (2 * Math.PI * (number - WARMEST_NORTH)) / DAYS_A_YEAR;
  const meanCelsius = EQUATOR_CELSIUS - CELSIUS_PER_SQUARE_DEGREE * size ** 2 + swing * Math.cos(turn);
  return {
    meanCelsius,
    lowCelsius: meanCelsius - NIGHT_TO_DAY_CELSIUS,
    highCelsius: meanCelsius + NIGHT_TO_DAY_CELSIUS,
  };
}
