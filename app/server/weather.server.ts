import type { FarmContext } from "#app/server/farm-context.server.ts";
import { placeOf } from "#app/server/farm-means.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import type { DailyWeather } from "#core/growth/flock.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { ForecastDay } from "#devices/forecast/forecast.ts";
import { simulatedForecast } from "#devices/forecast/simulated-forecast.ts";

/** Days of weather for the farm: the stand-in's usual weather, and whatever spells someone typed in. */
export function forecastDays(here: FarmContext, farm: Farm, from: LocalDay, count: number): ForecastDay[] {
  const spells = here.file.season
    .spells()
    .map(({ meanMillicelsius, ...spell }) => ({ ...spell, meanCelsius: meanMillicelsius / 1000 }));
  return simulatedForecast(spells).days({ latitude: placeOf(farm).latitude, from, count });
}

/** How far ahead a flock's weather is read: past that the curve goes on as if it were mild. */
const AHEAD_DAYS = 180;

/** The weather that a flock has had since it hatched and is to have. */
export function weatherOf(here: FarmContext, farm: Farm, hatchedOn: LocalDay): DailyWeather {
  const today = localDayOf(here.now(), farm.timeZone);
  const count = Math.max(0, Math.min(700, daysBetween(hatchedOn, today) + AHEAD_DAYS));
  return {
    from: hatchedOn,
    celsius: forecastDays(here, farm, hatchedOn, count).map(({ meanCelsius }) => meanCelsius),
  };
}
