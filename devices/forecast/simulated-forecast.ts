import { addDays, dayNumber, type LocalDay } from "#core/calendar/local-day.ts";
import { usualTemperatures } from "#core/sky/usual-weather.ts";
import type { ForecastLine } from "#devices/forecast/forecast-line.ts";

const tenth = (celsius: number) => Math.round(celsius * 10) / 10;

/**
 * A stand-in for a weather service, which ships with the farm's machine and asks no one: it forecasts the usual weather
 * of the latitude and date, to a tenth of a degree.
 */
export function simulatedForecast(question: {
  readonly latitude: number;
  readonly from: LocalDay;
  readonly count: number;
  readonly saidAt: number;
}): ForecastLine[] {
  return Array.from({ length: question.count }, (_, index) => {
    const day = addDays(question.from, index);
    const { meanCelsius, lowCelsius, highCelsius } = usualTemperatures(question.latitude, dayNumber(day));
    return {
      day,
      meanCelsius: tenth(meanCelsius),
      lowCelsius: tenth(lowCelsius),
      highCelsius: tenth(highCelsius),
      saidAt: question.saidAt,
    };
  });
}
