import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { DEVICES, driversOf } from "#app/server/device/devices.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { log } from "#app/server/log.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import type { DeviceReading } from "#core/quantity/device-reading.ts";

const CHECK_MILLISECONDS = MINUTE;
/** A device that says nothing more for so long is given up for now. */
const PATIENCE_MILLISECONDS = 2 * MINUTE;
const ASK_AGAIN_MILLISECONDS = 6 * HOUR;

/** Asks each of the farm's devices once, and keeps what it says. @throws {Error} if one can't be reached */
export async function readDevices(here: FarmContext, signal: AbortSignal): Promise<void> {
  const farm = here.file.farm();
  if (!farm) return;
  const at = here.now();
  const drivers = driversOf(farm, localDayOf(at, farm.timeZone), at);
  for (const device of DEVICES) {
    const readings: DeviceReading[] = [];
    for await (const reading of drivers[device].readings(signal)) readings.push(reading);
    here.file.readings.keep(device, readings, here.now());
  }
}

/**
 * Asks the devices now, on each new day, where the farm has moved, and every six hours, for as long as the process runs.
 * A device that can't be reached is tried again; pages go on with what they have.
 */
export function listenToDevices(here: FarmContext): void {
  const stop = new AbortController();
  let asked = "";
  let askedAt = 0;
  let isAsking = false;
  const check = async () => {
    const farm = here.file.farm();
    if (!farm || isAsking) return;
    const question = `${placeOf(farm).latitude} ${localDayOf(here.now(), farm.timeZone)}`;
    if (question === asked && Date.now() - askedAt < ASK_AGAIN_MILLISECONDS) return;
    isAsking = true;
    try {
      await readDevices(here, AbortSignal.any([stop.signal, AbortSignal.timeout(PATIENCE_MILLISECONDS)]));
      asked = question;
      askedAt = Date.now();
    } catch (error) {
      if (!stop.signal.aborted) log.warn({ err: error }, "a device could not be reached; it is tried again");
    } finally {
      isAsking = false;
    }
  };
  const timer = setInterval(() => void check(), CHECK_MILLISECONDS);
  timer.unref();
  const attached = attachedDevices(here);
  attached.follow();
  process.once("exit", () => {
    clearInterval(timer);
    stop.abort();
    attached.stop();
  });
  void check();
}
