import { linesOf } from "#devices/attached/lines-of.ts";

/** What we use of a serial port of the browser. */
export interface SerialPortOfBrowser {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
}

/** What we use of a browser that can talk to what is plugged into it; only a secure page has it. */
interface SerialOfBrowser {
  /** Those that were allowed before. */
  getPorts(): Promise<readonly SerialPortOfBrowser[]>;
  /** Asks whoever sits there to choose one; rejects where they don't. */
  requestPort(): Promise<SerialPortOfBrowser>;
}

/** Undefined where this browser, or this page, can't. @param browser its `navigator` */
export const serialOf = (browser: object): SerialOfBrowser | undefined =>
  (browser as { readonly serial?: SerialOfBrowser }).serial;

const BAUD_RATE = 9600;

/**
 * The same lines from a device that is plugged into the phone or tablet itself, until it is pulled out or the signal is given.
 *
 * @throws {Error} where the port can't be opened, or the device is pulled out
 */
export async function* serialLines(
  port: SerialPortOfBrowser,
  signal: AbortSignal,
  onReached: () => void,
): AsyncIterable<string> {
  await port.open({ baudRate: BAUD_RATE });
  onReached();
  try {
    yield* linesOf(piecesOf(port.readable!, signal));
  } finally {
    await port.close().catch(() => undefined);
  }
}

async function* piecesOf(readable: ReadableStream<Uint8Array>, signal: AbortSignal): AsyncIterable<string> {
  const reader = readable.getReader();
  const cancel = () => void reader.cancel().catch(() => undefined);
  signal.addEventListener("abort", cancel);
  // One byte, one character: a garbled byte must not swallow the next.
  const decoder = new TextDecoder("latin1");
  try {
    for (let piece = await reader.read(); !piece.done; piece = await reader.read())
      yield decoder.decode(piece.value, { stream: true });
  } finally {
    signal.removeEventListener("abort", cancel);
    reader.releaseLock();
  }
}
