import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { log } from "#app/server/log.server.ts";
import { rootFolder } from "#app/server/root-folder.server.ts";
import type { LocalDay } from "#core/calendar/local-day.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Driver } from "#devices/driver.ts";
import { forecastDriver } from "#devices/forecast/forecast-driver.ts";
import { programLines } from "#devices/program-lines.ts";
import { programArguments } from "#workers/program.ts";

export const DEVICES = ["forecast"] as const;
export type Device = (typeof DEVICES)[number];

/** How far a forecast looks, days. */
const FORECAST_DAYS = 14;

/** Chooses the driver of each device from what the farm says of itself. Nothing else knows which it is. */
export function driversOf(farm: Farm, today: LocalDay, at: number): Readonly<Record<Device, Driver>> {
  const question = ["--latitude", String(placeOf(farm).latitude), "--from", today];
  const root = rootFolder();
  const simulate = [...programArguments(root, "devices/forecast/simulate.ts"), ...question];
  return {
    forecast: forecastDriver(
      (signal) =>
        programLines(process.execPath, [...simulate, "--days", String(FORECAST_DAYS), "--said", String(at)], {
          folder: root,
          signal,
        }),
      (line) => log.warn({ line }, "the forecast wrote a line that can't be read"),
    ),
  };
}
