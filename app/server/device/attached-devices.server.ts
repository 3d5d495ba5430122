import { EventEmitter } from "node:events";
import { type FarmContext, wholeOf } from "#app/server/farm/farm-context.server.ts";
import { log } from "#app/server/log.server.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import type { AttachedDevice, DeviceQuantity } from "#core/quantity/device-reading.ts";
import type { AttachedAt } from "#db/device/address-queries.server.ts";
import { listenTo } from "#devices/attached/attached-driver.ts";
import { type DeviceStatus, isWorthKeeping, type LastReading } from "#devices/attached/device-status.ts";
import { isAttached } from "#devices/attached/reading-line.ts";
import { tcpLines } from "#devices/attached/tcp-lines.ts";

/** Pages that listen to the farm's devices, ten phones with a few windows each. */
const MOST_LISTENERS = 64;

const SEND_MILLISECONDS = 900;

const QUANTITY = {
  "bath-probe": "bath-temperature",
  "bench-scale": "bench-weight",
} as const satisfies Record<AttachedDevice, DeviceQuantity>;

interface Attached {
  readonly at: AttachedAt;
  readonly stop: AbortController;
  status: DeviceStatus | undefined;
  kept: LastReading | undefined;
  sent: DeviceStatus | undefined;
}

/** The probes and scales of a farm: listens to each where the farm says it is, keeps its readings thinned, tells who listens. */
class AttachedDevices {
  readonly #events = new EventEmitter().setMaxListeners(MOST_LISTENERS);
  readonly #devices = new Map<AttachedDevice, Attached>();
  readonly #here: FarmContext;

  constructor(here: FarmContext) {
    this.#here = here;
  }

  /** How each attached device is doing. */
  statuses(): DeviceStatus[] {
    return [...this.#devices.values()].flatMap(({ status }) => status ?? []);
  }

  /** @returns ends it; undefined where too many listen already */
  listen(hear: (status: DeviceStatus) => void): (() => void) | undefined {
    if (this.#events.listenerCount("status") >= MOST_LISTENERS) return undefined;
    this.#events.on("status", hear);
    return () => this.#events.off("status", hear);
  }

  /** Goes by the addresses as they stand: listens to what is new, leaves what is gone. */
  follow(): void {
    const addresses = this.#here.file.attached.addresses();
    for (const [device, { at, stop }] of this.#devices) {
      if (addresses.some(({ entryId }) => entryId === at.entryId)) continue;
      stop.abort();
      this.#devices.delete(device);
    }
    for (const at of addresses)
      if (isAttached(at.device) && !this.#devices.has(at.device)) this.#start(at.device, at);
  }

  stop(): void {
    for (const { stop } of this.#devices.values()) stop.abort();
    this.#devices.clear();
  }

  #start(device: AttachedDevice, at: AttachedAt): void {
    const attached: Attached = {
      at,
      stop: new AbortController(),
      status: undefined,
      kept: undefined,
      sent: undefined,
    };
    this.#devices.set(device, attached);
    listenTo(
      {
        device,
        lines: (signal, onReached) => tcpLines(at, signal, onReached),
        now: this.#here.now,
        hear: (status) => this.#hear(attached, status),
      },
      attached.stop.signal,
    ).catch((error) => log.error({ err: error, device }, "a device is no longer listened to"));
  }

  #hear(attached: Attached, status: DeviceStatus): void {
    if (attached.status?.state !== status.state)
      log.info({ device: status.device, state: status.state }, "a device changed state");
    attached.status = status;
    const { device, last, state } = status;
    if (state === "reading" && last && isWorthKeeping(device, last, attached.kept)) {
      attached.kept = last;
      const { at, valueThousandths } = last;
      const readingId = `${device}-${attached.at.entryId}-${at}`;
      const reading = {
        readingId,
        quantity: QUANTITY[device],
        aboutOn: undefined,
        readAt: at,
        valueThousandths,
      };
      this.#here.file.readings.keepMeasured(device, reading, this.#here.now());
    }
    if (isWorthSending(status, attached.sent)) {
      attached.sent = status;
      this.#events.emit("status", status);
    }
  }
}

/** Pages hear of a device once a second, and at once when it settles or does otherwise. */
function isWorthSending({ state, last }: DeviceStatus, sent: DeviceStatus | undefined): boolean {
  return (
    sent === undefined ||
    sent.state !== state ||
    sent.last?.isSteady !== last?.isSteady ||
    (last?.at ?? 0) - (sent.last?.at ?? 0) >= SEND_MILLISECONDS
  );
}

/** By data file: a process may serve the files of several tests. */
const ofFile = new WeakMap<FarmContext["file"], AttachedDevices>();

export function attachedDevices(asked: FarmContext): AttachedDevices {
  const here = wholeOf(asked);
  const devices = ofFile.get(here.file) ?? new AttachedDevices(here);
  ofFile.set(here.file, devices);
  return devices;
}

/** How far back a page shows the bath, beside the dips of its day. */
const LONGEST_DAY = 24 * HOUR;

/** What the probe read of the bath from one moment on, °C. */
export const bathReadings = ({ file, now }: FarmContext, from: number) =>
  file.readings
    .measured("bath-probe", QUANTITY["bath-probe"], Math.max(from, now() - LONGEST_DAY), now())
    .map(({ at, valueThousandths }) => ({ at, celsius: valueThousandths / 1000 }));
