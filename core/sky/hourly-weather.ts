import { HOUR } from "#core/calendar/milliseconds.ts";

/** Weather of one hour. */
export interface HourWeather {
  /** Its beginning, epoch milliseconds UTC. */
  readonly at: number;
  readonly rainMillimeters: number;
  /** The strongest gust, km/h. */
  readonly gustKilometersPerHour: number;
  /** Chance of thunder, percent. */
  readonly stormPercent: number;
}

/** From so much rain in an hour hands and birds are wet. See docs/sources.md#weather. */
const WET_MILLIMETERS = 0.2;
/** From such a chance no one should plan on metal, water, and wires outdoors. See docs/sources.md#weather. */
const STORM_PERCENT = 30;
/** From such gusts canopies lift and burners blow out. See docs/sources.md#weather. */
const STRONG_GUST = 45;

/** What the weather would be over some hours of work. */
export interface WeatherWhile {
  /** Hours of them that are wet, to a tenth. */
  readonly wetHours: number;
  readonly rainMillimeters: number;
  readonly strongestGust: number;
  readonly hasStrongGusts: boolean;
  /** The first that is wet, and the first that is stormy; undefined where none is. */
  readonly wetFrom: number | undefined;
  readonly stormFrom: number | undefined;
}

/**
 * The weather from one moment to another.
 *
 * @param hours in order of time
 * @returns undefined where not all of the time is forecast
 */
export function weatherWhile(
  hours: readonly HourWeather[],
  from: number,
  to: number,
): WeatherWhile | undefined {
  const shares = hours
    .map((hour) => ({ ...hour, share: (Math.min(to, hour.at + HOUR) - Math.max(from, hour.at)) / HOUR }))
    .filter(({ share }) => share > 0);
  const known = shares.reduce((sum, { share }) => sum + share, 0);
  if (to <= from || known < (to - from) / HOUR - 1e-6) return undefined;
  const isWet = ({ rainMillimeters }: HourWeather) => rainMillimeters >= WET_MILLIMETERS;
  const sum = (of: (hour: (typeof shares)[number]) => number) =>
    shares.reduce((total, hour) => total + of(hour) * hour.share, 0);
  const beginning = (found: HourWeather | undefined) => found && Math.max(from, found.at);
  const strongestGust = Math.max(...shares.map((hour) => hour.gustKilometersPerHour));
  return {
    wetHours: Math.round(sum((hour) => (isWet(hour) ? 1 : 0)) * 10) / 10,
    rainMillimeters: sum((hour) => hour.rainMillimeters),
    strongestGust,
    hasStrongGusts: strongestGust >= STRONG_GUST,
    wetFrom: beginning(shares.find(isWet)),
    stormFrom: beginning(shares.find(({ stormPercent }) => stormPercent >= STORM_PERCENT)),
  };
}

/** The same hours of work, begun later: what waiting brings. */
export interface Waiting {
  readonly minutes: number;
  readonly weather: WeatherWhile;
}

/**
 * The same work begun now, and begun after the shortest wait, of one hour to three, that brings fewer wet hours or no storm;
 * where none does, after an hour. Undefined where the hours to come are not forecast.
 */
export function startingLater(
  hours: readonly HourWeather[],
  from: number,
  to: number,
): { readonly now: WeatherWhile; readonly wait: Waiting } | undefined {
  const now = weatherWhile(hours, from, to);
  const waits = [60, 120, 180].flatMap((minutes): Waiting[] => {
    const later = (minutes / 60) * HOUR;
    const weather = weatherWhile(hours, from + later, to + later);
    return weather ? [{ minutes, weather }] : [];
  });
  const [first] = waits;
  if (!now || !first) return undefined;
  const isBetter = ({ weather }: Waiting) =>
    weather.wetHours <= now.wetHours - 0.5 ||
    (now.stormFrom !== undefined && weather.stormFrom === undefined);
  return { now, wait: waits.find(isBetter) ?? first };
}
