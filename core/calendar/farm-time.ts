import { Temporal } from "temporal-polyfill";
import type { LocalDay } from "#core/calendar/local-day.ts";

export type InstantReading =
  | { exists: true; at: number }
  /** The clocks jumped over this time that night. `next` is the first local time that does exist. */
  | { exists: false; next: string };

/** Whether the text names a time zone that this machine knows, such as America/New_York. */
export function isTimeZone(text: string): boolean {
  try {
    // Clocks are counted by one and shown by the other, so both must know it: `+05:00` is known to one only.
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(text);
    new Intl.DateTimeFormat(undefined, { timeZone: text });
    return /^[A-Za-z]/.test(text);
  } catch {
    return false;
  }
}

/**
 * The instant of a local time on a local day.
 *
 * Where the clocks go back and a time comes twice, the first of the two is meant.
 *
 * @param time `HH:MM`
 * @returns epoch milliseconds UTC, or that the time does not exist on that day
 */
export function instantOf(day: LocalDay, time: string, timeZone: string): InstantReading {
  const plain = Temporal.PlainDate.from(day).toPlainDateTime(Temporal.PlainTime.from(time));
  const zoned = plain.toZonedDateTime(timeZone, { disambiguation: "earlier" });
  if (zoned.toPlainDateTime().equals(plain)) return { exists: true, at: zoned.epochMilliseconds };
  const transition = zoned.getTimeZoneTransition("next");
  return { exists: false, next: clockText(transition ?? zoned) };
}

/** The instant at which a local day begins, epoch milliseconds UTC. */
export function startOfDay(day: LocalDay, timeZone: string): number {
  return Temporal.PlainDate.from(day).toZonedDateTime(timeZone).epochMilliseconds;
}

/** The farm-local day on which an instant falls. */
export function localDayOf(at: number, timeZone: string): LocalDay {
  return zonedAt(at, timeZone).toPlainDate().toString();
}

/** A minute of the day as the clock shows it, `HH:MM`. @param minute from midnight, 0 to 1440 */
export function clockOfMinute(minute: number): string {
  return `${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;
}

/** Minutes from midnight of a time of day. @param time `HH:MM` */
export function minuteOfClock(time: string): number {
  return Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
}

/** The local clock at an instant, `HH:MM`, minutes cut off. */
export function localClock(at: number, timeZone: string): string {
  return clockText(zonedAt(at, timeZone));
}

/** Every full hour of the local clock between two instants, both included: instant and hour of the day. */
export function localHours(from: number, to: number, timeZone: string): { at: number; hour: number }[] {
  const hours: { at: number; hour: number }[] = [];
  let tick = zonedAt(from, timeZone).round({ smallestUnit: "hour", roundingMode: "ceil" });
  while (tick.epochMilliseconds <= to) {
    hours.push({ at: tick.epochMilliseconds, hour: tick.hour });
    tick = tick.add({ hours: 1 });
  }
  return hours;
}

/** What was calculated need not be a whole millisecond; a calendar takes nothing else. */
function zonedAt(at: number, timeZone: string): Temporal.ZonedDateTime {
  return Temporal.Instant.fromEpochMilliseconds(Math.round(at)).toZonedDateTimeISO(timeZone);
}

function clockText(zoned: Temporal.ZonedDateTime): string {
  return zoned.toPlainTime().toString({ smallestUnit: "minute" });
}
