import type { Driver } from "#devices/driver.ts";
import { forecastReadings, readForecastLine } from "#devices/forecast/forecast-line.ts";
import { hourReadings, readHourLine } from "#devices/forecast/hour-line.ts";

/**
 * Reads a forecast from whatever gives its lines.
 *
 * @param onUnreadable hears of each line that is none; the others are read all the same
 */
export function forecastDriver(
  linesOf: (signal: AbortSignal) => AsyncIterable<string>,
  onUnreadable: (line: string) => void,
): Driver {
  return {
    async *readings(signal) {
      for await (const text of linesOf(signal)) {
        const line = readForecastLine(text);
        const hour = readHourLine(text);
        if (line) yield* forecastReadings(line);
        else if (hour) yield* hourReadings(hour);
        else onUnreadable(text.slice(0, 100));
      }
    },
  };
}
