import type { Device } from "#app/server/device/devices.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { whileUnchanged } from "#app/server/farm/while-unchanged.server.ts";
import { clockOfMinute, instantOf, localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import type { DailyWeather } from "#core/growth/flock.ts";
import type { DeviceQuantity } from "#core/quantity/device-reading.ts";
import type { HourWeather } from "#core/sky/hourly-weather.ts";
import type { DayTemperatures } from "#core/sky/usual-weather.ts";
import { type WeatherDay, weatherDays } from "#core/sky/weather-days.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

const FORECAST: Device = "forecast";

/** Days of weather for the farm: what someone typed in, else the forecast's last word, else what is usual. */
export function forecastDays(here: FarmContext, farm: Farm, from: LocalDay, count: number): WeatherDay[] {
  const { latitude } = placeOf(farm);
  return whileUnchanged(here, `weather ${latitude} ${from} ${count}`, (whole) => {
    const spells = whole.file.season
      .spells()
      .map(({ meanMillicelsius, ...spell }) => ({ ...spell, meanCelsius: meanMillicelsius / 1000 }));
    const forecastOf = forecastBetween(whole, from, addDays(from, count));
    return weatherDays({ latitude, from, count, spells, forecastOf });
  });
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

/** A day's weather by the hour, as the forecast last said it; empty where it has not. In order of time. */
export function forecastHours({ file }: FarmContext, farm: Farm, day: LocalDay): HourWeather[] {
  const byHour = new Map<number, Partial<Record<DeviceQuantity, number>>>();
  for (const { aboutHour, quantity, valueThousandths } of file.readings.aboutHours(FORECAST, day))
    byHour.set(aboutHour, { ...byHour.get(aboutHour), [quantity]: valueThousandths / 1000 });
  return [...byHour].flatMap(([hour, said]) => {
    const start = instantOf(day, clockOfMinute(hour * 60), farm.timeZone);
    const rain = said["hour-rain"];
    const gust = said["hour-gust"];
    const storm = said["hour-storm"];
    return !start.exists || rain === undefined || gust === undefined || storm === undefined
      ? []
      : [{ at: start.at, rainMillimeters: rain, gustKilometersPerHour: gust, stormPercent: storm }];
  });
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
