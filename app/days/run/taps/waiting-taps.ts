import { z } from "zod";
import { FACT_KINDS } from "#core/day/run/day-fact.ts";

const optionalNumber = z.number().optional();

/** What waits on the phone to be sent: a fact, or with `undoes` the taking back of one. */
const WaitingTap = z.object({
  entryId: z.string(),
  kind: z.enum(FACT_KINDS),
  at: z.number(),
  note: z.string(),
  person: z.string().default(""),
  device: z.string().default(""),
  birds: optionalNumber,
  number: optionalNumber,
  celsius: optionalNumber,
  bags: optionalNumber,
  word: z.string().optional(),
  of: z.string().optional(),
  undoes: z.string().optional(),
  /** Why it was not taken: it is kept here until someone decides. */
  refusal: z.string().optional(),
});
export type WaitingTap = z.output<typeof WaitingTap>;
const WaitingTaps = z.array(WaitingTap);

/** Taps of a phone that keeps nothing (full, or private): they wait in the page, and are lost only with it. */
const inPage = new Map<string, readonly WaitingTap[]>();

/** Taps wait for one data file and one day: a farm that is made anew gets none of an older one's. */
export const waitingKey = (fileId: string, dayId: number): string => `pale-morning-taps-${fileId}-${dayId}`;

export function readWaiting(key: string): readonly WaitingTap[] {
  const held = inPage.get(key);
  if (held) return held;
  try {
    return WaitingTaps.parse(JSON.parse(localStorage.getItem(key) ?? "[]"));
  } catch {
    return [];
  }
}

/** @returns whether they will outlive the page */
export function writeWaiting(key: string, taps: readonly WaitingTap[]): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(taps));
    inPage.delete(key);
    return true;
  } catch {
    inPage.set(key, taps);
    return false;
  }
}

/** randomUUID is only there on secure pages; a phone on the farm's own network may have none. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

const DEVICE_KEY = "pale-morning-device";
let deviceInPage: string | undefined;

/** This phone's own name among the farm's; made at its first tap. */
export function deviceId(): string {
  try {
    const kept = localStorage.getItem(DEVICE_KEY);
    if (kept) return kept;
    const made = newId();
    localStorage.setItem(DEVICE_KEY, made);
    return made;
  } catch {
    deviceInPage ??= newId();
    return deviceInPage;
  }
}
