import type { RunForecast } from "#core/day/forecast/run-forecast.ts";
import type { WaterReading } from "#core/day/run/bath-readings.ts";
import type { DayNews } from "#db/day/run-queries.server.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

/** News with the cursor that they follow: whoever is not there yet asks for what lies between. */
export interface NewsAfter extends DayNews {
  readonly after: number;
}

/** What the live link of a day says, each under its own name. */
export interface LiveEvents {
  readonly news: NewsAfter;
  readonly forecast: RunForecast;
  /** The attached devices as they are, and the bath as far as a page needs it: told when a link is opened. */
  readonly attached: { readonly devices: readonly DeviceStatus[]; readonly bath: readonly WaterReading[] };
  /** One attached device: its latest reading, or that it has none. */
  readonly device: DeviceStatus;
  /** Revision of the day's plan: it was changed since a page was made that has another. */
  readonly plan: number;
  /** The farm's clock, epoch milliseconds. */
  readonly clock: number;
}
export type LiveEvent = {
  [Name in keyof LiveEvents]: { name: Name; data: LiveEvents[Name] };
}[keyof LiveEvents];
export const LIVE_EVENTS = [
  "news",
  "forecast",
  "attached",
  "device",
  "plan",
  "clock",
] as const satisfies readonly (keyof LiveEvents)[];
