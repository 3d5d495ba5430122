import type { DeviceReading } from "#core/quantity/device-reading.ts";

/** Listens to a device, wherever and however it is attached. What it reads goes into the table of readings. */
export interface Driver {
  /**
   * What the device measures or says, as it comes; ends when the device has no more to say for now.
   * Throws where the device can't be reached. Stops when the signal is given.
   */
  readings(signal: AbortSignal): AsyncIterable<DeviceReading>;
}
