import type { Device } from "#app/server/device/devices.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import type { DailyWeather } from "#core/growth/flock.ts";
import type { DeviceQuantity } from "#core/quantity/device-reading.ts";
import type { DayTemperatures } from "#core/sky/usual-weather.ts";
import { type WeatherDay, weatherDays } from "#core/sky/weather-days.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

const FORECAST: Device = "forecast";

/** Days of weather for the farm: what someone typed in, else the forecast's last word, else what is usual. */
export function forecastDays(here: FarmContext, farm: Farm, from: LocalDay, count: number): WeatherDay[] {
  const spells = here.file.season
    .spells()
    .map(({ meanMillicelsius, ...spell }) => ({ ...spell, meanCelsius: meanMillicelsius / 1000 }));
  const forecastOf = forecastBetween(here, from, addDays(from, count));
  return weatherDays({ latitude: placeOf(farm).latitude, from, count, spells, forecastOf });
}

function forecastBetween(
  { file }: FarmContext,
  from: LocalDay,
  to: LocalDay,
): (day: LocalDay) => DayTemperatures | undefined {
  const byDay = new Map<LocalDay, Partial<Record<DeviceQuantity, number>>>();
  for (const { aboutOn, quantity, valueThousandths } of file.readings.about(FORECAST, from, to))
    byDay.set(aboutOn, { ...byDay.get(aboutOn), [quantity]: valueThousandths / 1000 });
  return (day) => {
    const said = byDay.get(day);
    const mean = said?.["mean-air-temperature"];
    const low = said?.["low-air-temperature"];
    const high = said?.["high-air-temperature"];
    return mean === undefined || low === undefined || high === undefined
      ? undefined
      : { meanCelsius: mean, lowCelsius: low, highCelsius: high };
  };
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
