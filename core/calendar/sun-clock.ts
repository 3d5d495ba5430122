import { startOfDay } from "#core/calendar/farm-time.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";

/** A day without summer time in the north, from which a zone's usual clock is read. */
const WINTER_DAY = "2026-01-15";
/** No zone that is in use keeps a clock further from the sun than some three hours and a half. */
const MOST_HOURS_OFF = 4;
const DEGREES_PER_HOUR = 15;

/**
 * How far a clock of a time zone is from the sun of a place, hours: 0 where the sun is highest at noon.
 *
 * @param longitude degrees, east of Greenwich
 */
export function hoursOffTheSun(longitude: number, timeZone: string): number {
  const utcMidnight = Date.parse(`${WINTER_DAY}T00:00:00Z`);
  const aheadOfUtc = (utcMidnight - startOfDay(WINTER_DAY, timeZone)) / HOUR;
  const off = aheadOfUtc - longitude / DEGREES_PER_HOUR;
  // Around the date line the clock may be a day ahead of the sun, or behind.
  return off - 24 * Math.round(off / 24);
}

/**
 * Whether a longitude can't be meant with a time zone: it would be dark at noon.
 *
 * @returns the longitude with the other sign where that fits, as when the minus of the west was left out
 */
export function longitudeFault(
  longitude: number,
  timeZone: string,
): { readonly meant: number | undefined } | undefined {
  if (Math.abs(hoursOffTheSun(longitude, timeZone)) <= MOST_HOURS_OFF) return undefined;
  const fits = Math.abs(hoursOffTheSun(-longitude, timeZone)) <= MOST_HOURS_OFF;
  return { meant: fits ? -longitude : undefined };
}
