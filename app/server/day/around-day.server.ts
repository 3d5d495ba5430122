import { restDaysOf } from "#app/server/day/rest-days.server.ts";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import { forecastDays, forecastHours } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import type { OtherRest, RestPlace } from "#core/day/plan/room/rest-room.ts";
import type { SeasonFacts } from "#core/day/season/season-facts.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { proposedRestDays } from "#core/rest/rest.ts";
import type { HourWeather } from "#core/sky/hourly-weather.ts";
import type { WeatherDay } from "#core/sky/weather-days.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What lies around a day whatever is chosen for it: where its birds can rest, and the weather. */
export interface AroundDay {
  readonly places: readonly RestPlace[];
  readonly others: readonly OtherRest[];
  readonly restDays: number;
  readonly weather: readonly WeatherDay[];
  /** By the hour, of the day itself and in order of time; empty where no forecast looks so far. */
  readonly hours: readonly HourWeather[];
  /** What a kilogram of a whole dressed bird brings. */
  readonly centsPerKilogram: number;
  /** What the farm may process for others, in its own words, and who they are, by id. */
  readonly forOthers: { readonly rule: string; readonly names: Readonly<Record<number, string>> };
  /** From the first bird to the last in the chill tank, as long as the farm wants a line to be. */
  readonly longestLineMinutes: number;
  /** What was said of the days on which people can or can't come. */
  readonly personDays: SeasonFacts["personDays"];
  readonly people: readonly { readonly id: number; readonly name: string; readonly weekdayMask: number }[];
  /** Days that the farm is not free on, or that something else goes on. */
  readonly marks: readonly {
    readonly fromOn: LocalDay;
    readonly toOn: LocalDay;
    readonly kind: "out" | "market" | "note";
    readonly what: string;
  }[];
  /** The date that is saved; undefined for a day that is not set yet. */
  readonly savedOn: LocalDay | undefined;
  /** The other open days. */
  readonly otherDays: readonly OtherDay[];
  /** Now. */
  readonly at: number;
}

/** Another open day, which has the same crew, bath and tanks if it is on the same date. */
export interface OtherDay {
  readonly id: number;
  readonly processedOn: LocalDay;
  readonly startAt: number;
  readonly lots: readonly { readonly birds: number; readonly batchName: string }[];
}

/** Days for which weather and dates are sent along, so that a plan can be moved without asking again. */
const BEFORE_DAYS = 7;
const AFTER_DAYS = 42;

/**
 * @param batches of which the day takes birds, at least one
 * @param dayId the day itself, whose birds are not another's; 0 for one that is not set yet
 */
export function aroundDay(
  here: FarmContext,
  farm: Farm,
  batches: readonly Batch[],
  { processedOn, dayId }: { readonly processedOn: LocalDay; readonly dayId: number },
): AroundDay {
  const file = here.file;
  const terms = seasonTerms(here, farm, file.season.setting(), localDayOf(here.now(), farm.timeZone));
  const day = file.day(dayId);
  const from = addDays(processedOn, -BEFORE_DAYS);
  const to = addDays(processedOn, AFTER_DAYS);
  return {
    ...restAround(here, terms.restDays, dayId),
    // A day that is not set yet rests as those of its birds that need it longest.
    restDays: day
      ? restDaysOf(here, day, lotsOfDay(here, day), terms.restDays)
      : (terms.restDays ?? Math.max(...batches.map(({ kind }) => proposedRestDays(kind)))),
    centsPerKilogram: terms.wholeCentsPerKilogram.value,
    forOthers: {
      rule: farm.ruleForOthers,
      names: Object.fromEntries(file.customers.owners().map(({ id, name }) => [id, name])),
    },
    longestLineMinutes: terms.longestLineMinutes.value,
    personDays: file.people.personDays(from, to),
    people: file.people.people().map(({ id, name, weekdayMask }) => ({ id, name, weekdayMask })),
    marks: file.season
      .marks()
      .filter(({ fromOn, toOn }) => fromOn <= to && from <= toOn)
      .map(({ fromOn, toOn, kind, what }) => ({ fromOn, toOn, kind, what })),
    savedOn: day?.processedOn,
    otherDays: otherDays(here, dayId),
    at: here.now(),
    hours: forecastHours(here, farm, processedOn),
    weather: forecastDays(here, farm, from, BEFORE_DAYS + AFTER_DAYS),
  };
}

const otherDays = (here: FarmContext, dayId: number): OtherDay[] =>
  here.file
    .openDays()
    .filter(({ id }) => id !== dayId)
    .map((other) => ({
      id: other.id,
      processedOn: other.processedOn,
      startAt: other.startAt,
      lots: lotsOfDay(here, other).map(({ birds, batchName }) => ({ birds, batchName })),
    }));

/** Refrigerators as they stand, and the other open days whose birds rest. @param saidBySeason days of rest that the season says */
export const restAround = (
  here: FarmContext,
  saidBySeason: number | undefined,
  dayId: number,
): Pick<AroundDay, "places" | "others"> => ({
  places: roomOfPlaces(here, dayId)
    .filter(({ kind }) => kind === "fridge")
    .map(({ name, capacityCount, canFreeze, taken }) => ({
      name,
      capacity: capacityCount,
      stored: taken,
      canFreeze,
    })),
  others: here.file
    .openDays()
    .filter(({ id }) => id !== dayId)
    .map((other) => ({
      day: other.processedOn,
      birds: birdsOf(other),
      restDays: restDaysOf(here, other, lotsOfDay(here, other), saidBySeason),
    })),
});
