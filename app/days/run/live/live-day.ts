import type { RunForecast } from "#core/day/run/run-forecast.ts";
import type { DayNews } from "#db/day/run-queries.server.ts";

/** News with the cursor that they follow: whoever is not there yet asks for what lies between. */
export interface NewsAfter extends DayNews {
  readonly after: number;
}

/** What the live link of a day says, each under its own name. */
export interface LiveEvents {
  readonly news: NewsAfter;
  readonly forecast: RunForecast;
  /** The farm's clock, epoch milliseconds. */
  readonly clock: number;
}
export type LiveEvent = {
  [Name in keyof LiveEvents]: { name: Name; data: LiveEvents[Name] };
}[keyof LiveEvents];
export const LIVE_EVENTS = ["news", "forecast", "clock"] as const satisfies readonly (keyof LiveEvents)[];
