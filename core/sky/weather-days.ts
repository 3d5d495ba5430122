import { dayNumber, dayOfNumber, type LocalDay } from "#core/calendar/local-day.ts";
import { type DayTemperatures, usualTemperatures } from "#core/sky/usual-weather.ts";

/** A spell of weather that someone typed in, because they know better. */
export interface Spell {
  readonly fromOn: LocalDay;
  readonly toOn: LocalDay;
  readonly meanCelsius: number;
  readonly what: string;
}

export interface WeatherDay extends DayTemperatures {
  /** Days since 1970-01-01. */
  readonly dayNumber: number;
  /** Who says so: the farm, a forecast, or the latitude and date. */
  readonly source: "farm" | "forecast" | "date";
  /** What someone said of the day; undefined where nobody did. */
  readonly spell: Spell | undefined;
}

export interface WeatherAsked {
  readonly latitude: number;
  readonly from: LocalDay;
  readonly count: number;
  /** What a forecast says of some of the days; undefined for the others. */
  readonly forecastOf: (day: LocalDay) => DayTemperatures | undefined;
  /** In the order in which they were typed: of two for a day the last one stands. */
  readonly spells: readonly Spell[];
}

/** Weather is told to a tenth of a degree. */
const tenth = (celsius: number) => Math.round(celsius * 10) / 10;
const toTenths = ({ meanCelsius, lowCelsius, highCelsius }: DayTemperatures): DayTemperatures => ({
  meanCelsius: tenth(meanCelsius),
  lowCelsius: tenth(lowCelsius),
  highCelsius: tenth(highCelsius),
});

/**
 * Days of weather: what the farm said of a day, else what the forecast says, else what is usual for the date.
 *
 * @returns one for each of `count` days from `from` on
 */
export function weatherDays({ latitude, from, count, forecastOf, spells }: WeatherAsked): WeatherDay[] {
  const first = dayNumber(from);
  const spans = spells.map((spell) => ({ spell, from: dayNumber(spell.fromOn), to: dayNumber(spell.toOn) }));
  return Array.from({ length: count }, (_, index) => {
    const number = first + index;
    const forecast = forecastOf(dayOfNumber(number));
    const told = toTenths(forecast ?? usualTemperatures(latitude, number));
    const spell = spans.findLast((span) => span.from <= number && number <= span.to)?.spell;
    if (!spell) return { dayNumber: number, source: forecast ? "forecast" : "date", ...told, spell };
    const shift = spell.meanCelsius - told.meanCelsius;
    return {
      dayNumber: number,
      source: "farm",
      meanCelsius: spell.meanCelsius,
      lowCelsius: tenth(told.lowCelsius + shift),
      highCelsius: tenth(told.highCelsius + shift),
      spell,
    };
  });
}
