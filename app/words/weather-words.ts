import type { Show } from "#app/words/show.ts";
import type { startingLater, WeatherWhile } from "#core/sky/hourly-weather.ts";

/** The weather over some hours, in a few words: rain, thunder, and gusts, or that there are none. */
function weatherInWords(weather: WeatherWhile, show: Show): string {
  const { wetHours, wetFrom, rainMillimeters, stormFrom, hasStrongGusts, strongestGust } = weather;
  const said = [
    wetFrom === undefined
      ? "dry"
      : `rain from ${show.time(wetFrom)}, ${show.minutes(wetHours * 60)} in all (${show.rain(rainMillimeters)})`,
    ...(stormFrom === undefined ? [] : [`thunder possible from ${show.time(stormFrom)}`]),
    ...(hasStrongGusts ? [`gusts to ${show.windSpeed(strongestGust)}`] : []),
  ];
  return said.join(", ");
}

/** What a start as planned meets, and what waiting would bring. */
export function startingLaterInWords(
  { now, wait }: NonNullable<ReturnType<typeof startingLater>>,
  show: Show,
): string {
  const asPlanned = `While you work: ${weatherInWords(now, show)}.`;
  if (now.wetFrom === undefined && now.stormFrom === undefined) return asPlanned;
  return `${asPlanned} Starting ${show.minutes(wait.minutes)} later: ${weatherInWords(wait.weather, show)}.`;
}
