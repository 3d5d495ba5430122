import { getPosition, getTimes } from "suncalc";

/** A place on the ground, degrees; north and east are positive. */
export interface Place {
  readonly latitude: number;
  readonly longitude: number;
}

/** Apparent height of the sun above the horizon, degrees; negative when it is down. */
export function sunAltitudeDegrees(at: number, place: Place): number {
  return getPosition(new Date(at), place.latitude, place.longitude).altitude;
}

/** The sun's times on one day, epoch milliseconds UTC; undefined where the sun does not do it that day. */
export interface SunTimes {
  readonly dawn: number | undefined;
  readonly sunrise: number | undefined;
  readonly sunset: number | undefined;
  readonly dusk: number | undefined;
}

/**
 * Civil dawn, sunrise, sunset and civil dusk of the solar day around a local noon.
 * To about a minute at middle latitudes; hills are not counted.
 *
 * @param localNoon epoch milliseconds of twelve o'clock at the place
 */
export function sunTimes(localNoon: number, place: Place): SunTimes {
  const times = getTimes(new Date(localNoon), place.latitude, place.longitude);
  const instant = (date: Date | null) => date?.getTime();
  return {
    dawn: instant(times.dawn),
    sunrise: instant(times.sunrise),
    sunset: instant(times.sunset),
    dusk: instant(times.dusk),
  };
}
