import { dayNumber } from "#core/calendar/local-day.ts";
import { type DayTemperatures, usualTemperatures } from "#core/sky/usual-weather.ts";
import type { Forecast, Spell } from "#devices/forecast/forecast.ts";

/** A forecast is given to a tenth of a degree. */
const tenth = (celsius: number) => Math.round(celsius * 10) / 10;
const toTenths = ({ meanCelsius, lowCelsius, highCelsius }: DayTemperatures): DayTemperatures => ({
  meanCelsius: tenth(meanCelsius),
  lowCelsius: tenth(lowCelsius),
  highCelsius: tenth(highCelsius),
});

/**
 * A stand-in for a weather service, which ships with the farm's machine and asks no one: the usual weather of the
 * latitude and date, and over it whatever spells were typed in, of which the last one stands.
 */
export function simulatedForecast(spells: readonly Spell[]): Forecast {
  return {
    days: ({ latitude, from, count }) => {
      const first = dayNumber(from);
      const spans = spells.map((spell) => ({
        spell,
        from: dayNumber(spell.fromOn),
        to: dayNumber(spell.toOn),
      }));
      return Array.from({ length: count }, (_, index) => {
        const number = first + index;
        const usual = toTenths(usualTemperatures(latitude, number));
        const spell = spans.findLast((span) => span.from <= number && number <= span.to)?.spell;
        if (!spell) return { dayNumber: number, ...usual, spell };
        const shift = spell.meanCelsius - usual.meanCelsius;
        return {
          dayNumber: number,
          meanCelsius: spell.meanCelsius,
          lowCelsius: tenth(usual.lowCelsius + shift),
          highCelsius: tenth(usual.highCelsius + shift),
          spell,
        };
      });
    },
  };
}
