import { startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { type Place, type SunTimes, sunAltitudeDegrees, sunTimes } from "#core/sky/sun.ts";

/** The sun's height over a place at even steps of time. */
export interface Sky {
  readonly from: number;
  readonly to: number;
  /** Degrees above the horizon at `from`, at `to`, and evenly between. */
  readonly altitudes: readonly number[];
}

const STEP_MILLISECONDS = 10 * MINUTE;
const HALF_DAY_MILLISECONDS = 12 * HOUR;

/** The sky over a place between two instants, about every ten minutes. */
export function skyBetween(from: number, to: number, place: Place): Sky {
  const steps = Math.max(1, Math.round((to - from) / STEP_MILLISECONDS));
  const altitudes = Array.from({ length: steps + 1 }, (_, step) =>
    sunAltitudeDegrees(from + ((to - from) * step) / steps, place),
  );
  return { from, to, altitudes };
}

/** Dawn, sunrise, sunset and dusk of a local day. */
export function sunOfDay(day: LocalDay, timeZone: string, place: Place): SunTimes {
  return sunTimes(startOfDay(day, timeZone) + HALF_DAY_MILLISECONDS, place);
}

/** Dusk of the evening before a day, and its dawn; undefined where the sun does not do both. */
export function nightBefore(day: LocalDay, timeZone: string, place: Place) {
  const { dusk } = sunOfDay(addDays(day, -1), timeZone, place);
  const { dawn } = sunOfDay(day, timeZone, place);
  return dusk === undefined || dawn === undefined ? undefined : { duskAt: dusk, dawnAt: dawn };
}
