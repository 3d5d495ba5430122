import type { LocalDay } from "#core/calendar/local-day.ts";

/** What a device can measure or say; its unit is in the name of the record that holds it. */
export const DEVICE_QUANTITIES = [
  "mean-air-temperature",
  "low-air-temperature",
  "high-air-temperature",
  "hour-rain",
  "hour-gust",
  "hour-storm",
  "bath-temperature",
  "bench-weight",
] as const;
export type DeviceQuantity = (typeof DEVICE_QUANTITIES)[number];

/** What can be attached to the farm: a probe in the scald bath, and a bench scale. */
export const ATTACHED_DEVICES = ["bath-probe", "bench-scale"] as const;
export type AttachedDevice = (typeof ATTACHED_DEVICES)[number];

/** How an attached device is doing. Only "reading" is to be gone by. */
export type DeviceState = "reading" | "not-reached" | "silent" | "garbled" | "stuck" | "impossible";

/** One thing that a device measured or said. */
export interface DeviceReading {
  /** Made by the device, so that the same reading sent again is harmless. */
  readonly readingId: string;
  readonly quantity: DeviceQuantity;
  /** The farm's day that it is about, as of a forecast; undefined where it is of its own moment. */
  readonly aboutOn: LocalDay | undefined;
  /** And the hour of that day, by the farm's clock; absent where it is about the whole of it. */
  readonly aboutHour?: number;
  /** When the device measured or said it, epoch milliseconds UTC. */
  readonly readAt: number;
  /** Thousandths: of °C, grams, millimeters of rain, km/h of a gust, or percent of a chance. */
  readonly valueThousandths: number;
}
