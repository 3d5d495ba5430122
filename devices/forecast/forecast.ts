import type { LocalDay } from "#core/calendar/local-day.ts";
import type { DayTemperatures } from "#core/sky/usual-weather.ts";

/** A spell of weather that someone typed in, because they know better. */
export interface Spell {
  readonly fromOn: LocalDay;
  readonly toOn: LocalDay;
  readonly meanCelsius: number;
  readonly what: string;
}

export interface ForecastDay extends DayTemperatures {
  /** Days since 1970-01-01. */
  readonly dayNumber: number;
  /** What someone said of the day; undefined where it is the usual weather of the date. */
  readonly spell: Spell | undefined;
}

/** Days of weather for a place: whoever gives them, a simulated stand-in or a real service, answers this question. */
export interface Forecast {
  days(question: { latitude: number; from: LocalDay; count: number }): ForecastDay[];
}
