import { listenToDevices } from "#app/server/device/device-listener.server.ts";
import { clockFrom } from "#app/server/farm/clock.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

/** Kept across reloads of this module in development, so that one process holds one connection. */
const kept = globalThis as { paleMorningFarm?: FarmContext };

/** The farm that this process serves; its data file is opened at the first request and closed when the process ends. */
export const thisFarm = (): FarmContext => {
  kept.paleMorningFarm ??= openFromEnvironment();
  return kept.paleMorningFarm;
};

/** PALE_MORNING_DATA names the data file. PALE_MORNING_CLOCK=2026-09-17T10:12:00Z starts the clock at another moment. */
function openFromEnvironment(): FarmContext {
  const { PALE_MORNING_DATA: path, PALE_MORNING_CLOCK: setTo } = process.env;
  if (!path) throw new Error("PALE_MORNING_DATA must name the data file");
  const start = setTo ? Date.parse(setTo) : Date.now();
  if (Number.isNaN(start)) throw new Error(`PALE_MORNING_CLOCK is not a moment: ${setTo}`);
  const file = openFarmFile(path);
  process.once("exit", () => file.close());
  const farm = { file, now: clockFrom(start) };
  listenToDevices(farm);
  return farm;
}
