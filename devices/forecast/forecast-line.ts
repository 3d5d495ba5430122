import { isLocalDay, type LocalDay } from "#core/calendar/local-day.ts";
import type { DeviceQuantity, DeviceReading } from "#core/quantity/device-reading.ts";

/*
 * The line protocol of a forecast. Whoever forecasts writes one line of text a day:
 *
 *   2026-09-19 mean 16.2 low 10.7 high 21.7 said 1789639920000
 *
 * the farm's day, temperatures in °C, and when it was said in epoch milliseconds UTC.
 */
export interface ForecastLine {
  readonly day: LocalDay;
  readonly meanCelsius: number;
  readonly lowCelsius: number;
  readonly highCelsius: number;
  readonly saidAt: number;
}

const LONGEST_LINE = 200;
const NUMBER = "(-?\\d{1,3}(?:\\.\\d{1,3})?)";
const LINE = new RegExp(
  `^(\\d{4}-\\d{2}-\\d{2}) mean ${NUMBER} low ${NUMBER} high ${NUMBER} said (\\d{1,15})$`,
);
/** What air on earth can be, °C. */
const COLDEST = -90;
const HOTTEST = 60;

export const forecastText = ({ day, meanCelsius, lowCelsius, highCelsius, saidAt }: ForecastLine): string =>
  `${day} mean ${meanCelsius} low ${lowCelsius} high ${highCelsius} said ${saidAt}`;

/** Reads a line; undefined where it is none, or says what can't be. */
export function readForecastLine(text: string): ForecastLine | undefined {
  const [, day, mean, low, high, said] = (text.length <= LONGEST_LINE && LINE.exec(text)) || [];
  if (day === undefined || !isLocalDay(day)) return undefined;
  const line = {
    day,
    meanCelsius: Number(mean),
    lowCelsius: Number(low),
    highCelsius: Number(high),
    saidAt: Number(said),
  };
  const { meanCelsius, lowCelsius, highCelsius } = line;
  const isOrdered = COLDEST <= lowCelsius && lowCelsius <= meanCelsius && meanCelsius <= highCelsius;
  return isOrdered && highCelsius <= HOTTEST ? line : undefined;
}

/** A line as what goes into the table: a reading of each of its temperatures. */
export function forecastReadings(line: ForecastLine): DeviceReading[] {
  const reading = (quantity: DeviceQuantity, celsius: number): DeviceReading => ({
    readingId: `forecast-${line.saidAt}-${line.day}-${quantity}`,
    quantity,
    aboutOn: line.day,
    readAt: line.saidAt,
    valueThousandths: Math.round(celsius * 1000),
  });
  return [
    reading("mean-air-temperature", line.meanCelsius),
    reading("low-air-temperature", line.lowCelsius),
    reading("high-air-temperature", line.highCelsius),
  ];
}
