import { createServer, type Server, type Socket } from "node:net";
import type { AttachedDevice } from "#core/quantity/device-reading.ts";
import { linesOf } from "#devices/attached/lines-of.ts";
import { helloText, readingText } from "#devices/attached/reading-line.ts";

/** What a stand-in measures as time goes by, and what can be done with it. */
export interface SimulatedDevice {
  readonly device: AttachedDevice;
  /** Goes on by some seconds. */
  pass(seconds: number): void;
  /** Thousandths of °C, or milligrams. */
  reading(): { readonly valueThousandths: number; readonly isSteady: boolean };
  /** Does what a line says, such as "put 1840"; anything else is left alone. */
  obey(line: string): void;
}

const TICK_SECONDS = 0.25;
const SAY_EVERY_TICKS = 2;
/** Percent that a battery loses in an hour. */
const BATTERY_AN_HOUR = 1;
/** Quiet for as long as "quiet" asks for, at most; then the loose wire is back in place. */
const MOST_QUIET_SECONDS = 600;

/**
 * Serves a stand-in as a real device would be: its readings over TCP, twice a second, to whoever listens. Three faults can be
 * asked for: "quiet 20" (it says nothing for so many seconds), "freeze" (the value hangs until "free"), and "garble 10".
 */
export function serveSimulated(simulated: SimulatedDevice, port: number, battery: number): Server {
  const listeners = new Set<Socket>();
  let ticks = 0;
  let quietUntil = 0;
  let garbledUntil = 0;
  let frozen: ReturnType<SimulatedDevice["reading"]> | undefined;
  const seconds = () => ticks * TICK_SECONDS;
  const obey = (line: string) => {
    const [word, amount] = line.trim().split(" ");
    const until = seconds() + Math.min(MOST_QUIET_SECONDS, Math.max(0, Number(amount) || 0));
    if (word === "quiet") quietUntil = until;
    else if (word === "garble") garbledUntil = until;
    else if (word === "freeze") frozen = simulated.reading();
    else if (word === "free") frozen = undefined;
    else simulated.obey(line.trim());
  };
  const timer = setInterval(() => {
    ticks += 1;
    simulated.pass(TICK_SECONDS);
    if (ticks % SAY_EVERY_TICKS !== 0 || seconds() < quietUntil) return;
    const line = readingText({
      device: simulated.device,
      ...(frozen ?? simulated.reading()),
      battery: Math.max(0, battery - (seconds() / 3600) * BATTERY_AN_HOUR),
    });
    for (const socket of listeners)
      socket.write(`${seconds() < garbledUntil ? line.replace(/\d/, "?") : line}\n`);
  }, TICK_SECONDS * 1000);
  return createServer((socket) => {
    listeners.add(socket);
    socket.setEncoding("latin1");
    socket.on("error", () => socket.destroy());
    socket.once("close", () => listeners.delete(socket));
    socket.write(`${helloText({ device: simulated.device, isSimulated: true })}\n`);
    void (async () => {
      for await (const line of linesOf(socket as AsyncIterable<string>)) obey(line);
    })().catch(() => undefined);
  })
    .once("close", () => clearInterval(timer))
    .listen(port, "127.0.0.1");
}
