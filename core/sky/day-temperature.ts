import type { DayTemperatures } from "#core/sky/usual-weather.ts";

/** When the air is warmest, hours after sunrise at the middle latitudes' usual day. Choice. See docs/sources.md#weather. */
const WARMEST_AFTER_SUNRISE_HOURS = 8.5;

/**
 * Air temperature at a moment of a day, °C: coolest at sunrise, warmest in mid-afternoon, half a cosine between.
 *
 * @param hoursAfterSunrise less than 0 before it
 */
export function temperatureAt(
  hoursAfterSunrise: number,
  { lowCelsius, highCelsius }: Pick<DayTemperatures, "lowCelsius" | "highCelsius">,
): number {
  const hours = ((hoursAfterSunrise % 24) + 24) % 24;
  const rising = hours <= WARMEST_AFTER_SUNRISE_HOURS;
  const turn = rising
    ? hours / WARMEST_AFTER_SUNRISE_HOURS
    : 1 - (hours - WARMEST_AFTER_SUNRISE_HOURS) / (24 - WARMEST_AFTER_SUNRISE_HOURS);
  return lowCelsius + ((highCelsius - lowCelsius) * (1 - Math.cos(Math.PI * turn))) / 2;
}
