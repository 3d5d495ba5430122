import ICAL from "ical.js";
import { instantOf, isTimeZone, localDayOf, startOfDay } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";

/** A day on which a calendar has something in the hours of work. */
export interface BusyDay {
  readonly onDay: LocalDay;
  readonly why: string;
}

export type CalendarReading =
  | { readonly ok: true; readonly busy: readonly BusyDay[]; readonly events: number }
  | { readonly ok: false; readonly problem: "not-a-calendar" | "no-events" | "too-much" };

/** Between which days a calendar is read, and on whose clock. */
export interface CalendarAsked {
  readonly from: LocalDay;
  readonly to: LocalDay;
  readonly timeZone: string;
}

/** An event longer than this is a slip. */
const MOST_DAYS_LONG = 60;
/** What lies outside these hours of the farm's clock leaves a day free. */
const WORK_FROM = "07:00";
const WORK_TO = "15:00";
/** A repeating event is followed so many times at most, from its first: fifty years of days. */
const MOST_TIMES = 20_000;

/**
 * Days between two on which someone's calendar has something in the hours of work, on the farm's clock: whole days,
 * times in any zone, and events that repeat. What is marked as free or called off does not count.
 */
export function readCalendar(text: string, { from, to, timeZone }: CalendarAsked): CalendarReading {
  let events: ICAL.Event[];
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown as string);
    if (root.name !== "vcalendar") return { ok: false, problem: "not-a-calendar" };
    events = root.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
  } catch {
    return { ok: false, problem: "not-a-calendar" };
  }
  if (events.length === 0) return { ok: false, problem: "no-events" };
  const busy = new Map<LocalDay, string>();
  for (const event of events) {
    if (isFree(event)) continue;
    for (const start of startsOf(event, from, to)) {
      for (const day of daysTaken(event, start, timeZone))
        if (day >= from && day <= to && !busy.has(day)) busy.set(day, (event.summary ?? "").slice(0, 200));
    }
  }
  return {
    ok: true,
    events: events.length,
    busy: [...busy].map(([onDay, why]) => ({ onDay, why })).toSorted(byDay),
  };
}

const byDay = (one: BusyDay, other: BusyDay) => (one.onDay < other.onDay ? -1 : 1);

function isFree(event: ICAL.Event): boolean {
  const value = (name: string) => String(event.component.getFirstPropertyValue(name) ?? "").toUpperCase();
  // A changed occurrence of a repeating event is a component of its own; it stands for itself.
  return value("transp") === "TRANSPARENT" || value("status") === "CANCELLED" || !event.startDate;
}

/** Starts of an event between two days, and some before that may last into them; one, unless it repeats. */
function startsOf(event: ICAL.Event, from: LocalDay, to: LocalDay): ICAL.Time[] {
  if (!event.isRecurring() || event.isRecurrenceException()) return [event.startDate];
  const starts: ICAL.Time[] = [];
  const iterator = event.iterator();
  const earliest = addDays(from, -MOST_DAYS_LONG);
  for (let times = 0; times < MOST_TIMES; times += 1) {
    const time = iterator.next();
    if (!time || dayOf(time) > to) break;
    if (dayOf(time) >= earliest) starts.push(time);
  }
  return starts;
}

/** Farm-local days in whose hours of work an event lies. */
function daysTaken(event: ICAL.Event, start: ICAL.Time, timeZone: string): LocalDay[] {
  const seconds = Math.max(0, event.duration?.toSeconds() ?? 0);
  if (start.isDate) {
    const days = Math.max(1, Math.round(seconds / 86_400));
    return Array.from({ length: Math.min(days, MOST_DAYS_LONG) }, (_, index) => addDays(dayOf(start), index));
  }
  const zone = event.component.getFirstProperty("dtstart")?.getFirstParameter("tzid");
  const from = instantOfTime(start, zone, timeZone);
  const to = from + seconds * 1000;
  const days: LocalDay[] = [];
  for (
    let day = localDayOf(from, timeZone);
    day <= localDayOf(to, timeZone) && days.length < MOST_DAYS_LONG;
    day = addDays(day, 1)
  ) {
    const [workFrom, workTo] = [WORK_FROM, WORK_TO].map((time) => clockOn(day, time, timeZone));
    if (from < workTo! && to > workFrom!) days.push(day);
  }
  return days;
}

/** The instant of a time in a calendar: in UTC, in a zone that we know by name, in one that the file describes, or on the farm's own clock. */
function instantOfTime(time: ICAL.Time, zone: string | undefined, farmZone: string): number {
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toUnixTime() * 1000;
  const named = zone !== undefined && isTimeZone(zone) ? zone : undefined;
  const isDescribed = time.zone !== null && time.zone !== ICAL.Timezone.localTimezone;
  if (named === undefined && isDescribed) return time.toUnixTime() * 1000;
  const clock = `${String(time.hour).padStart(2, "0")}:${String(time.minute).padStart(2, "0")}`;
  return clockOn(dayOf(time), clock, named ?? farmZone);
}

function clockOn(day: LocalDay, time: string, timeZone: string): number {
  const instant = instantOf(day, time, timeZone);
  return instant.exists ? instant.at : startOfDay(day, timeZone);
}

function dayOf({ year, month, day }: ICAL.Time): LocalDay {
  return `${year}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;
}
