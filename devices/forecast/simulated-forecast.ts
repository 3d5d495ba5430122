import { addDays } from "#core/calendar/local-day.ts";
import { usualTemperatures } from "#core/sky/usual-weather.ts";
import type { Forecast, Spell } from "#devices/forecast/forecast.ts";

/**
 * A stand-in for a weather service, which ships with the farm's machine and asks nobody: the usual weather of the
 * latitude and date, and over it whatever spells were typed in, of which the last one stands.
 */
export function simulatedForecast(spells: readonly Spell[]): Forecast {
  return {
    days: ({ latitude, from, count }) =>
      Array.from({ length: count }, (_, index) => {
        const day = addDays(from, index);
        const usual = usualTemperatures(latitude, day);
        const spell = spells.findLast(({ fromOn, toOn }) => fromOn <= day && day <= toOn);
        if (!spell) return { day, ...usual, spell };
        const shift = spell.meanCelsius - usual.meanCelsius;
        return {
          day,
          meanCelsius: spell.meanCelsius,
          lowCelsius: usual.lowCelsius + shift,
          highCelsius: usual.highCelsius + shift,
          spell,
        };
      }),
  };
}
