import type { AttachedDevice, DeviceState } from "#core/quantity/device-reading.ts";

export const DEVICE_NAMES: Readonly<Record<AttachedDevice | "label-printer", string>> = {
  "bath-probe": "Bath probe",
  "bench-scale": "Bench scale",
  "label-printer": "Label printer",
};

/** How a device is doing, in a few words, and what to do about it. */
export const STATE_WORDS: Readonly<Record<DeviceState, { readonly short: string; readonly remedy: string }>> =
  {
    reading: { short: "reading", remedy: "" },
    "not-reached": { short: "not reached", remedy: "Check its plug, its power, and its address." },
    silent: { short: "silent", remedy: "It is connected but sends nothing. Check its wire and battery." },
    garbled: { short: "garbled", remedy: "What arrives can't be read. Check its wire; keep it dry." },
    stuck: {
      short: "stuck",
      remedy: "The same reading for two minutes. Is it in the water? Stir, and check by hand.",
    },
    impossible: {
      short: "reading wrong",
      remedy: "Its readings are impossible. Check it against another one.",
    },
  };

/** A battery that may not last the day, percent. Our choice. */
export const LOW_BATTERY = 15;
