import { createServer, type Server, type Socket } from "node:net";
import fc from "fast-check";
import { afterEach, expect, test } from "vitest";
import { ATTACHED_DEVICES } from "#core/quantity/device-reading.ts";
import { listenTo } from "#devices/attached/attached-driver.ts";
import {
  type DeviceStatus,
  isWorthKeeping,
  type Judged,
  judgedBy,
  judgedByClock,
  judgedGarbled,
  type LastReading,
  notReached,
  reached,
} from "#devices/attached/device-status.ts";
import { linesOf } from "#devices/attached/lines-of.ts";
import { checksum, helloText, readingText, readLine } from "#devices/attached/reading-line.ts";
import { serialLines } from "#devices/attached/serial-lines.ts";
import { serveSimulated } from "#devices/attached/simulated-device.ts";
import { sayTo, tcpLines } from "#devices/attached/tcp-lines.ts";
import { simulatedScale } from "#devices/bench-scale/simulated-scale.ts";

const reading = fc.record({
  device: fc.constantFrom(...ATTACHED_DEVICES),
  valueThousandths: fc.integer({ min: -9_000, max: 9_000 }).map((tenths) => tenths * 100),
  isSteady: fc.boolean(),
  battery: fc.integer({ min: 0, max: 100 }),
});
const checked = (said: string) => `${said} check ${checksum(said)}`;

test("what a device writes is read as it was meant, and with any one character changed it is refused", () => {
  fc.assert(
    fc.property(reading, fc.nat(), fc.integer({ min: 33, max: 126 }), (said, place, code) => {
      const text = readingText(said);
      expect(readLine(text)).toEqual(said);
      const at = place % text.length;
      const changed = `${text.slice(0, at)}${String.fromCharCode(code)}${text.slice(at + 1)}`;
      if (changed !== text) expect(readLine(changed)).toBeUndefined();
    }),
  );
});

test.each([
  ["bath-probe 140.0 F steady battery 87", { valueThousandths: 60_000 }],
  ["bench-scale 4 lb moving battery 5", { valueThousandths: 1_814_369, isSteady: false }],
  ["bench-scale 1.5 kg steady battery 100", { valueThousandths: 1_500_000 }],
  ["hello bath-probe", { device: "bath-probe", isSimulated: false }],
])("%s is understood", (said, meant) => expect(readLine(checked(said))).toMatchObject(meant));

test.each([
  ["a scale in degrees", "bench-scale 4 C steady battery 5"],
  ["a battery over full", "bath-probe 4 C steady battery 101"],
  ["a device of another kind", "radio 4 C steady battery 5"],
  ["a line that goes on", `bath-probe 4 C steady battery 5${" ".repeat(200)}`],
])("%s is refused though its check fits", (_, said) => expect(readLine(checked(said))).toBeUndefined());

/** A probe that says some temperatures, one a second. */
const after = (celsius: readonly number[], before: Judged = reached(notReached("bath-probe"), 0)): Judged =>
  celsius.reduce(
    (judged, value, second) =>
      judgedBy(
        { device: "bath-probe", valueThousandths: Math.round(value * 1000), isSteady: true, battery: 80 },
        judged,
        (second + 1) * 1000,
      ),
    before,
  );
const flicker = (count: number) => Array.from({ length: count }, (_, second) => 60 + (second % 3) / 100);

test("a probe is gone by while it reads, and not when it hangs, jumps, or reads what can't be", () => {
  expect(after(flicker(300)).state).toBe("reading");
  expect(after(Array<number>(119).fill(60)).state).toBe("reading");
  expect(after(Array<number>(122).fill(60)).state).toBe("stuck");
  expect(after([...Array<number>(122).fill(60), 60.01]).state).toBe("reading");
  const mad = after([60, 60.1, 204]);
  expect(mad).toMatchObject({ state: "impossible", last: { valueThousandths: 60_100 } });
  expect(after([60, 12]).state).toBe("impossible");
  expect(after([60, 55, 50]).state).toBe("reading");
});

test("silence is noticed in five seconds, and one garbled line is no fault", () => {
  const reads = after(flicker(10));
  expect(judgedByClock(reads, 14_999).state).toBe("reading");
  expect(judgedByClock(reads, 15_000).state).toBe("silent");
  expect(judgedGarbled(reads, 10_500).state).toBe("reading");
  expect(judgedGarbled(reads, 13_000).state).toBe("garbled");
});

test("readings are kept one every ten seconds, and at each change; of a scale what it settles on, once", () => {
  const kept: LastReading[] = [];
  const keep = (device: "bath-probe" | "bench-scale", one: LastReading) => {
    if (isWorthKeeping(device, one, kept.at(-1))) kept.push(one);
  };
  for (let half = 0; half < 7200; half += 1)
    keep("bath-probe", { at: half * 500, valueThousandths: 60_000 + (half % 2) * 20, isSteady: true });
  expect(kept).toHaveLength(360);
  for (let second = 1; second <= 8; second += 1)
    keep("bath-probe", {
      at: 3_600_000 + second * 1000,
      valueThousandths: 60_000 - second * 150,
      isSteady: true,
    });
  expect(kept).toHaveLength(368);
  kept.length = 0;
  for (const [valueThousandths, isSteady] of [
    [0, true],
    [900_000, false],
    [1_885_000, false],
    [1_885_000, true],
    [1_885_000, true],
    [0, false],
    [0, true],
  ] as const)
    keep("bench-scale", { at: kept.length, valueThousandths, isSteady });
  expect(kept.map((one) => one.valueThousandths)).toEqual([0, 1_885_000, 0]);
});

test("lines are whole however they arrive, and one without end is cut", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1 }), async (sizes) => {
      const text = `${readingText({ device: "bath-probe", valueThousandths: 1000, isSteady: true, battery: 1 })}\r\n`;
      const pieces = async function* () {
        let at = 0;
        for (let turn = 0; at < text.length; turn += 1) {
          const size = sizes[turn % sizes.length]!;
          yield text.slice(at, at + size);
          at += size;
        }
      };
      const lines: string[] = [];
      for await (const line of linesOf(pieces())) lines.push(line);
      expect(lines).toEqual([text.trim()]);
    }),
  );
  const endless: string[] = [];
  const flood = async function* () {
    for (let turn = 0; turn < 100; turn += 1) yield "x".repeat(1000);
  };
  for await (const line of linesOf(flood())) endless.push(line);
  expect(Math.max(...endless.map(({ length }) => length))).toBeLessThanOrEqual(121);
});

const servers: Server[] = [];
const sockets: Socket[] = [];
afterEach(() => {
  for (const socket of sockets.splice(0)) socket.destroy();
  for (const server of servers.splice(0)) server.close();
});

/** Serves, and answers with the port that it listens on. */
async function listening(server: Server, port = 0): Promise<number> {
  servers.push(server);
  server.on("connection", (socket) => sockets.push(socket));
  if (!server.listening) {
    server.listen(port, "127.0.0.1");
    await new Promise((resolve) => server.once("listening", resolve));
  }
  return (server.address() as { port: number }).port;
}

/** Waits until a device is heard to be as it should. */
async function heardOf(
  statuses: DeviceStatus[],
  is: (status: DeviceStatus) => boolean,
): Promise<DeviceStatus> {
  for (let turn = 0; turn < 200; turn += 1) {
    const found = statuses.find(is);
    if (found) return found;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`heard only ${JSON.stringify(statuses.at(-1))}`);
}

function listenOver(port: number) {
  const statuses: DeviceStatus[] = [];
  const stop = new AbortController();
  const ended = listenTo(
    {
      device: "bench-scale",
      lines: (signal, onReached) => tcpLines({ host: "127.0.0.1", port }, signal, onReached),
      now: Date.now,
      hear: (status) => statuses.push(status),
    },
    stop.signal,
  );
  return { statuses, stop, ended };
}

test("the simulated scale is read, weighs what is put on it, and is found again after it was away", async () => {
  const port = await listening(serveSimulated(simulatedScale(), 0, 64));
  const { statuses, stop, ended } = listenOver(port);
  await heardOf(statuses, ({ state }) => state === "reading");
  expect(statuses.at(-1)).toMatchObject({ isSimulated: true, battery: 64, last: { valueThousandths: 0 } });
  await sayTo({ host: "127.0.0.1", port }, "put 1885");
  await heardOf(statuses, ({ last }) => last?.isSteady === true && last.valueThousandths === 1_885_000);
  expect(statuses.some(({ last }) => last?.isSteady === false)).toBe(true);

  for (const socket of sockets.splice(0)) socket.destroy();
  for (const server of servers.splice(0)) server.close();
  statuses.length = 0;
  await heardOf(statuses, ({ state }) => state === "not-reached");
  statuses.length = 0;
  await listening(serveSimulated(simulatedScale(), port, 64), port);
  await heardOf(statuses, ({ state }) => state === "reading");
  stop.abort();
  await ended;
});

test("a device that sends garbage is said to, and so is one that says nothing", async () => {
  const garbage = await listening(
    createServer((socket) => {
      const timer = setInterval(() => socket.write("\u0000\u00ff 4 8 15\n"), 200);
      socket.once("close", () => clearInterval(timer)).on("error", () => undefined);
    }),
  );
  const first = listenOver(garbage);
  expect(await heardOf(first.statuses, ({ state }) => state === "garbled")).toMatchObject({
    last: undefined,
  });
  first.stop.abort();
  const silent = await listening(
    createServer((socket) => socket.write(`${helloText({ device: "bench-scale", isSimulated: false })}\n`)),
  );
  const second = listenOver(silent);
  await heardOf(second.statuses, ({ state }) => state === "silent");
  second.stop.abort();
  await Promise.all([first.ended, second.ended]);
}, 30_000);

test("the same lines are read from a port of the browser, until it is pulled out", async () => {
  const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  const line = readingText({ device: "bath-probe", valueThousandths: 59_420, isSteady: true, battery: 50 });
  let closed = 0;
  const port = {
    readable: new ReadableStream<Uint8Array>({
      start(controller) {
        controller.enqueue(bytes(`${line}\n\u00ff`));
        controller.enqueue(bytes(`\n${line}\n`));
        controller.close();
      },
    }),
    open: async ({ baudRate }: { baudRate: number }) => expect(baudRate).toBe(9600),
    close: async () => {
      closed += 1;
    },
  };
  const lines: string[] = [];
  for await (const one of serialLines(port, new AbortController().signal, () => undefined)) lines.push(one);
  expect(lines.map((one) => readLine(one) !== undefined)).toEqual([true, false, true]);
  expect(closed).toBe(1);
});
