import { connect } from "node:net";
import { linesOf } from "#devices/attached/lines-of.ts";

/** Where a device, or the box that it hangs on, listens. */
export interface DeviceAddress {
  readonly host: string;
  readonly port: number;
}

const CONNECT_MILLISECONDS = 4000;
/** A connection that is silent for so long may lead nowhere any more: it is made anew. */
const SILENCE_MILLISECONDS = 15_000;

/**
 * The lines of a device over TCP, until the connection ends. Text without an end of line is cut at the longest line.
 *
 * @param onReached hears that the connection stands
 * @throws {Error} where the device can't be reached, or the connection breaks
 */
export async function* tcpLines(
  { host, port }: DeviceAddress,
  signal: AbortSignal,
  onReached: () => void,
): AsyncIterable<string> {
  const socket = connect({ host, port });
  // Not by the socket's own signal, which keeps a listener for each try.
  const stop = () => socket.destroy();
  signal.addEventListener("abort", stop);
  socket.setEncoding("latin1");
  socket.setKeepAlive(true, CONNECT_MILLISECONDS);
  socket.setTimeout(CONNECT_MILLISECONDS, () => socket.destroy(new Error(`${host}:${port} does not answer`)));
  socket.once("connect", () => {
    socket.setTimeout(SILENCE_MILLISECONDS);
    onReached();
  });
  try {
    yield* linesOf(socket as AsyncIterable<string>);
  } finally {
    signal.removeEventListener("abort", stop);
    socket.destroy();
  }
}

/** Says one line to a device and leaves, as for a simulated one. @throws {Error} where it can't be reached */
export function sayTo({ host, port }: DeviceAddress, line: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const socket = connect({ host, port });
    socket.setTimeout(CONNECT_MILLISECONDS, () =>
      socket.destroy(new Error(`${host}:${port} does not answer`)),
    );
    socket.once("error", reject);
    socket.once("connect", () => socket.end(`${line}\n`, () => resolve()));
    socket.resume();
  });
}
