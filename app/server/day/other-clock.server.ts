import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { localeFormats } from "#app/words/locale.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** Of some days, those that were planned by another clock than the farm has now: their start by both. */
export const otherClock = (days: readonly ProcessingDay[], { timeZone, locale }: Farm) =>
  days
    .filter((day) => day.timeZone !== timeZone)
    .map((day) => ({
      id: day.id,
      timeZone: day.timeZone,
      planned: localeFormats(locale, day.timeZone).time(day.startAt),
      now: localeFormats(locale, timeZone).time(day.startAt),
    }));

/** The same of all open days. */
export const otherClocks = ({ file }: FarmContext, farm: Farm) => otherClock(file.openDays(), farm);
