import { seasonTerms } from "#app/server/day/season-reading.server.ts";
import { forecastDays } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import type { OtherRest, RestPlace } from "#core/day/plan/rest-room.ts";
import { REST_DAYS } from "#core/season/season-constants.ts";
import type { WeatherDay } from "#core/sky/weather-days.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** What lies around a day whatever is chosen for it: where its birds can rest, and the weather. */
export interface AroundDay {
  readonly places: readonly RestPlace[];
  readonly others: readonly OtherRest[];
  readonly restDays: number;
  readonly weather: readonly WeatherDay[];
  /** What a kilogram of a whole dressed bird brings. */
  readonly centsPerKilogram: number;
  /** Now. */
  readonly at: number;
}

/** Days for which the weather is sent along, so that a plan can be moved without asking again. */
const BEFORE_DAYS = 7;
const AFTER_DAYS = 60;

/** @param dayId the day itself, whose birds are not another's; 0 for one that is not set yet */
export function aroundDay(
  here: FarmContext,
  farm: Farm,
  batch: Batch,
  processedOn: LocalDay,
  dayId = 0,
): AroundDay {
  const file = here.file;
  const terms = seasonTerms(here, farm, file.season.setting(), localDayOf(here.now(), farm.timeZone));
  const restDaysOf = (of: Batch) => terms.restDays ?? REST_DAYS[of.kind];
  const stored = file.freezers.stored();
  return {
    places: file
      .places()
      .filter(({ kind }) => kind === "fridge")
      .map(({ id, name, capacityCount, canFreeze }) => ({
        name,
        capacity: capacityCount,
        stored: stored.filter(({ placeId }) => placeId === id).length,
        canFreeze,
      })),
    others: file
      .openDays()
      .filter(({ id }) => id !== dayId)
      .map((other) => ({
        day: other.processedOn,
        birds: other.birds,
        restDays: restDaysOf(file.batch(other.batchId)!),
      })),
    restDays: restDaysOf(batch),
    centsPerKilogram: terms.wholeCentsPerKilogram.value,
    at: here.now(),
    weather: forecastDays(here, farm, addDays(processedOn, -BEFORE_DAYS), BEFORE_DAYS + AFTER_DAYS),
  };
}
