import { field } from "#app/ui/read/read-field.ts";
import { isTimeZone } from "#core/calendar/farm-time.ts";
import { isLocalDay } from "#core/calendar/local-day.ts";

/** A day, `YYYY-MM-DD`, between two others, both included. */
export function localDay({
  ask,
  from,
  to,
}: {
  ask: string;
  from?: { day: string; problem: string };
  to?: { day: string; problem: string };
}) {
  return field((text) => {
    if (text === "") return { problem: ask };
    if (!isLocalDay(text))
      return { problem: "That date does not exist. Enter year-month-day, such as 2026-09-19" };
    if (from && text < from.day) return { problem: from.problem };
    if (to && text > to.day) return { problem: to.problem };
    return text < "1990-01-01" || text > "2099-12-31"
      ? { problem: "That year is out of range" }
      : { value: text };
  });
}

/** A clock time, `HH:MM`. */
export const clockTime = field((text) => {
  const match = /^(\d{1,2})[:.](\d{2})$/.exec(text);
  if (!match || Number(match[1]) > 23 || Number(match[2]) > 59)
    return { problem: "Enter a time between 00:00 and 23:59, such as 07:00" };
  return { value: `${match[1]!.padStart(2, "0")}:${match[2]}` };
});

export const timeZone = field((text) =>
  isTimeZone(text) && text.length <= 64
    ? { value: text }
    : { problem: "Enter a time zone as Continent/City, such as America/New_York" },
);

/** Degrees north or east, to a millionth. */
export function degrees(most: number, ask: string) {
  return field((text) => {
    if (text === "") return { problem: ask };
    const match = /^([-−]?)(\d{1,3}(?:[.,]\d+)?) ?°? ?([nsew]?)$/i.exec(text.replace(/\s+/g, " "));
    if (!match) return { problem: "Enter decimal degrees, such as 43.9 or -71.6" };
    const size = Number(match[2]!.replace(",", "."));
    const isNegative = match[1] !== "" || /[sw]/i.test(match[3]!);
    if (size > most) return { problem: `Enter degrees from -${most} to ${most}` };
    return { value: Math.round((isNegative ? -size : size) * 1e6) };
  });
}
