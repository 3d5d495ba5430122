import type { LocalDay } from "#core/calendar/local-day.ts";

/** What a device can measure or say; its unit is in the name of the record that holds it. */
export const DEVICE_QUANTITIES = [
  "mean-air-temperature",
  "low-air-temperature",
  "high-air-temperature",
] as const;
export type DeviceQuantity = (typeof DEVICE_QUANTITIES)[number];

/** One thing that a device measured or said. */
export interface DeviceReading {
  /** Made by the device, so that the same reading sent again is harmless. */
  readonly readingId: string;
  readonly quantity: DeviceQuantity;
  /** The farm's day that it is about, as of a forecast; undefined where it is of its own moment. */
  readonly aboutOn: LocalDay | undefined;
  /** When the device measured or said it, epoch milliseconds UTC. */
  readonly readAt: number;
  /** Thousandths of °C. */
  readonly valueThousandths: number;
}
