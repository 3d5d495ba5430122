import { readKept, writeKept } from "#app/ui/device/kept-on-device.ts";

const KEPT_AS = "letter-keys";

/** Whether keys of a single character do something on this device; they do until someone turns them off. */
export const areLettersOn = (): boolean => readKept(KEPT_AS) !== "off";

export const turnLetters = (to: "on" | "off"): void => writeKept(KEPT_AS, to);
