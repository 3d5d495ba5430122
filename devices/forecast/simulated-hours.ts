import { addDays, dayNumber, type LocalDay } from "#core/calendar/local-day.ts";
import { scrambled } from "#core/processing-line/line-draws.ts";
import type { HourLine } from "#devices/forecast/hour-line.ts";

/** One day of so many has a shower or a front, and one of so many of those brings thunder. Our choice. */
const WET_DAYS = 3;
const STORMY = 3;
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Uniform draw, 0 to 1, of one thing of one day: the same whenever it is asked for. */
const draw = (day: number, thing: number) => (scrambled(day * 83 + thing * 7919) >>> 0) / 2 ** 32;

/**
 * The stand-in's weather by the hour: most days are dry with a breeze in the afternoon; on others rain comes for some hours, with
 * gusts, and in some of them thunder. Made up, and the same for the same day.
 */
export function simulatedHours(question: {
  readonly from: LocalDay;
  readonly count: number;
  readonly saidAt: number;
}): HourLine[] {
  return Array.from({ length: question.count }, (_, index) => {
    const day = addDays(question.from, index);
    const number = dayNumber(day);
    const isWetDay = draw(number, 0) < 1 / WET_DAYS;
    const begins = 5 + draw(number, 1) * 12;
    const lasts = 1 + draw(number, 2) * 5;
    const heaviest = 0.5 + draw(number, 3) * 5;
    const isStormy = isWetDay && draw(number, 4) < 1 / STORMY;
    return Array.from({ length: 24 }, (_, hour): HourLine => {
      const inRain = isWetDay
        ? Math.max(0, 1 - Math.abs((hour + 0.5 - begins - lasts / 2) / (lasts / 2 + 0.5)))
        : 0;
      const breeze = 8 + 14 * Math.max(0, Math.sin(((hour - 7) / 12) * Math.PI)) + 6 * draw(number, 5);
      return {
        day,
        hour,
        rainMillimeters: tenth(heaviest * inRain),
        gustKilometersPerHour: Math.round(breeze + (isStormy ? 45 : 18) * inRain),
        stormPercent: Math.round((isStormy ? 70 : 15) * inRain),
        saidAt: question.saidAt,
      };
    });
  }).flat();
}
