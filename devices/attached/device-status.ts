import { MINUTE, SECOND } from "#core/calendar/milliseconds.ts";
import type { AttachedDevice, DeviceState } from "#core/quantity/device-reading.ts";
import type { ReadingLine } from "#devices/attached/reading-line.ts";

/** What a device said last that can be, and when, by the farm's clock. */
export interface LastReading {
  readonly at: number;
  readonly valueThousandths: number;
  readonly isSteady: boolean;
}

export interface DeviceStatus {
  readonly device: AttachedDevice;
  readonly state: DeviceState;
  readonly isSimulated: boolean;
  /** Percent; undefined until it said so. */
  readonly battery: number | undefined;
  readonly last: LastReading | undefined;
}

/** A status with what it takes to judge the next line. */
export interface Judged extends DeviceStatus {
  /** When a line last came that could be read, and since when the value has been the same to its last digit. */
  readonly heardAt: number | undefined;
  readonly sameSince: number | undefined;
}

/** A device speaks about once a second: after this long without a line it is silent. */
const SILENT_MILLISECONDS = 5 * SECOND;
/** A thermometer in a bath flickers in its last digit: one that is the same for so long hangs in the air or has failed. Our choice. */
const STUCK_MILLISECONDS = 2 * MINUTE;
/** Water of a bath, °C, and what lies on a bench scale, grams, with room for one that was zeroed under a load. */
const POSSIBLE: Readonly<Record<AttachedDevice, readonly [number, number]>> = {
  "bath-probe": [-5, 101],
  "bench-scale": [-20_000, 60_000],
};
/** No bath changes faster than this, °C a second: a faster one is a wire that comes and goes. */
const FASTEST_CELSIUS_A_SECOND = 15;

export const notReached = (device: AttachedDevice, before?: DeviceStatus): Judged => ({
  device,
  isSimulated: before?.isSimulated ?? false,
  battery: before?.battery,
  last: before?.last,
  heardAt: undefined,
  sameSince: undefined,
  state: "not-reached",
});

/** A device that a connection stands with, and that has yet to say something. */
export const reached = (before: Judged, at: number): Judged => ({ ...before, heardAt: at, state: "silent" });

/** The device after a line that could be read. A value that can't be leaves the last one that could. */
export function judgedBy(line: ReadingLine, before: Judged, at: number): Judged {
  const { valueThousandths, isSteady, battery } = line;
  const heard = { ...before, battery, heardAt: at };
  if (!isPossible(line, before, at)) return { ...heard, state: "impossible" };
  const isSame = before.last?.valueThousandths === valueThousandths;
  const sameSince = isSame ? (before.sameSince ?? at) : at;
  const isStuck = line.device === "bath-probe" && at - sameSince >= STUCK_MILLISECONDS;
  return {
    ...heard,
    sameSince,
    last: { at, valueThousandths, isSteady },
    state: isStuck ? "stuck" : "reading",
  };
}

/** The device after a line that could not be read: one such line is a hiccup, none that can be is a fault. */
export function judgedGarbled(before: Judged, at: number): Judged {
  const isGarbled = at - (before.last?.at ?? -Infinity) >= SILENT_MILLISECONDS / 2;
  return { ...before, heardAt: at, state: isGarbled ? "garbled" : before.state };
}

/** The device as time goes by without a line. */
export function judgedByClock(before: Judged, at: number): Judged {
  const isSilent = before.heardAt !== undefined && at - before.heardAt >= SILENT_MILLISECONDS;
  return isSilent && before.state !== "not-reached" ? { ...before, state: "silent" } : before;
}

function isPossible({ device, valueThousandths }: ReadingLine, { last }: Judged, at: number): boolean {
  const [least, most] = POSSIBLE[device];
  const value = valueThousandths / 1000;
  if (value < least || value > most) return false;
  if (device !== "bath-probe" || !last) return true;
  const seconds = Math.max(0.5, (at - last.at) / SECOND);
  return Math.abs(value - last.valueThousandths / 1000) <= FASTEST_CELSIUS_A_SECOND * seconds;
}

/** Without what only the judge needs. */
export const statusOf = ({ heardAt: _heardAt, sameSince: _sameSince, ...status }: Judged): DeviceStatus =>
  status;

/** A reading is kept every so often, and at each change that says something: a tenth of a degree F or more, or two grams. */
const KEEP_MILLISECONDS = 10 * SECOND;
const WORTH_KEEPING: Readonly<Record<AttachedDevice, number>> = { "bath-probe": 100, "bench-scale": 2000 };

/**
 * Whether a reading is kept, after the last that was. A scale that is still moving is not: what counts is what it settles on.
 * An unchanged scale is kept once.
 */
export function isWorthKeeping(
  device: AttachedDevice,
  reading: LastReading,
  kept: LastReading | undefined,
): boolean {
  if (device === "bench-scale" && !reading.isSteady) return false;
  if (!kept) return true;
  if (Math.abs(reading.valueThousandths - kept.valueThousandths) >= WORTH_KEEPING[device]) return true;
  return device === "bath-probe" && reading.at - kept.at >= KEEP_MILLISECONDS;
}
