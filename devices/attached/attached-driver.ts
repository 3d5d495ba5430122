import { SECOND } from "#core/calendar/milliseconds.ts";
import type { AttachedDevice } from "#core/quantity/device-reading.ts";
import {
  type DeviceStatus,
  type Judged,
  judgedBy,
  judgedByClock,
  judgedGarbled,
  notReached,
  reached,
  statusOf,
} from "#devices/attached/device-status.ts";
import { readLine } from "#devices/attached/reading-line.ts";

export interface AttachedDriver {
  readonly device: AttachedDevice;
  /** The device's lines; throws or ends where the connection is lost. Says once that it stands. */
  readonly lines: (signal: AbortSignal, onReached: () => void) => AsyncIterable<string>;
  /** The farm's clock, epoch milliseconds. */
  readonly now: () => number;
  /** Hears of each reading and each change of state. */
  readonly hear: (status: DeviceStatus) => void;
}

const CHECK_MILLISECONDS = SECOND;
const FIRST_WAIT_MILLISECONDS = SECOND;
const LONGEST_WAIT_MILLISECONDS = 5 * SECOND;

/**
 * Listens to an attached device until the signal is given: connects again when the connection is lost, tells garbled,
 * impossible, and stuck readings from good ones, and notices silence.
 */
export async function listenTo(
  { device, lines, now, hear }: AttachedDriver,
  signal: AbortSignal,
): Promise<void> {
  let judged = notReached(device);
  const become = (next: Judged) => {
    const isNews = next.state !== judged.state || next.last !== judged.last;
    judged = next;
    if (isNews && !signal.aborted) hear(statusOf(next));
  };
  hear(statusOf(judged));
  const clock = setInterval(() => become(judgedByClock(judged, now())), CHECK_MILLISECONDS);
  try {
    let wait = FIRST_WAIT_MILLISECONDS;
    while (!signal.aborted) {
      try {
        for await (const text of lines(signal, () => become(reached(judged, now())))) {
          wait = FIRST_WAIT_MILLISECONDS;
          become(afterLine(text, judged, now()));
        }
      } catch {
        // Whatever broke it, it is tried again.
      }
      become(notReached(device, judged));
      await waitFor(wait, signal);
      wait = Math.min(2 * wait, LONGEST_WAIT_MILLISECONDS);
    }
  } finally {
    clearInterval(clock);
  }
}

function afterLine(text: string, before: Judged, at: number): Judged {
  const line = readLine(text);
  if (!line || line.device !== before.device) return judgedGarbled(before, at);
  if (!("valueThousandths" in line)) return { ...before, heardAt: at, isSimulated: line.isSimulated };
  return judgedBy(line, before, at);
}

const waitFor = (milliseconds: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    if (signal.aborted) return resolve();
    const done = () => {
      clearTimeout(timer);
      signal.removeEventListener("abort", done);
      resolve();
    };
    const timer = setTimeout(done, milliseconds);
    signal.addEventListener("abort", done);
  });
