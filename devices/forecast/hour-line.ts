import { isLocalDay, type LocalDay } from "#core/calendar/local-day.ts";
import type { DeviceQuantity, DeviceReading } from "#core/quantity/device-reading.ts";

/*
 * The line protocol of a forecast by the hour, beside that of whole days (forecast-line.ts):
 *
 *   2026-09-19 hour 10 rain 0.6 gust 32 storm 15 said 1789639920000
 *
 * the farm's day and the hour of its clock, rain in millimeters, the strongest gust in km/h, the chance of thunder in
 * percent, and when it was said in epoch milliseconds UTC.
 */
export interface HourLine {
  readonly day: LocalDay;
  /** 0 to 23. */
  readonly hour: number;
  readonly rainMillimeters: number;
  readonly gustKilometersPerHour: number;
  readonly stormPercent: number;
  readonly saidAt: number;
}

const LONGEST_LINE = 200;
const NUMBER = "(\\d{1,3}(?:\\.\\d{1,3})?)";
const LINE = new RegExp(
  `^(\\d{4}-\\d{2}-\\d{2}) hour (\\d{1,2}) rain ${NUMBER} gust ${NUMBER} storm ${NUMBER} said (\\d{1,15})$`,
);
/** More than has ever fallen or blown in an hour is read wrong. */
const MOST = { rain: 350, gust: 420, storm: 100 } as const;

export const hourText = (line: HourLine): string =>
  `${line.day} hour ${line.hour} rain ${line.rainMillimeters} gust ${line.gustKilometersPerHour} storm ${line.stormPercent} said ${line.saidAt}`;

/** Reads a line; undefined where it is none, or says what can't be. */
export function readHourLine(text: string): HourLine | undefined {
  const [, day, hour, rain, gust, storm, said] = (text.length <= LONGEST_LINE && LINE.exec(text)) || [];
  if (day === undefined || !isLocalDay(day) || Number(hour) > 23) return undefined;
  const line = {
    day,
    hour: Number(hour),
    rainMillimeters: Number(rain),
    gustKilometersPerHour: Number(gust),
    stormPercent: Number(storm),
    saidAt: Number(said),
  };
  const canBe =
    line.rainMillimeters <= MOST.rain &&
    line.gustKilometersPerHour <= MOST.gust &&
    line.stormPercent <= MOST.storm;
  return canBe ? line : undefined;
}

/** A line as what goes into the table. */
export function hourReadings(line: HourLine): DeviceReading[] {
  const reading = (quantity: DeviceQuantity, value: number): DeviceReading => ({
    readingId: `forecast-${line.saidAt}-${line.day}-${line.hour}-${quantity}`,
    quantity,
    aboutOn: line.day,
    aboutHour: line.hour,
    readAt: line.saidAt,
    valueThousandths: Math.round(value * 1000),
  });
  return [
    reading("hour-rain", line.rainMillimeters),
    reading("hour-gust", line.gustKilometersPerHour),
    reading("hour-storm", line.stormPercent),
  ];
}
