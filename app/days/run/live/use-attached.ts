import { useCallback, useState } from "react";
import type { LiveEvent } from "#app/days/run/live/live-day.ts";
import type { WaterReading } from "#core/day/run/bath-readings.ts";
import { type DeviceStatus, isWorthKeeping } from "#devices/attached/device-status.ts";

/** The farm's attached devices as a phone knows them, and what the probe read, in order of time. */
export interface Attached {
  readonly devices: readonly DeviceStatus[];
  readonly bath: readonly WaterReading[];
}

export function useAttached(loaded: Attached) {
  const [attached, setAttached] = useState(loaded);
  const hearAttached = useCallback((event: Extract<LiveEvent, { name: "attached" | "device" }>) => {
    if (event.name === "attached") setAttached(event.data);
    else setAttached((before) => withDevice(before, event.data));
  }, []);
  return { attached, hearAttached };
}

function withDevice({ devices, bath }: Attached, status: DeviceStatus): Attached {
  return {
    devices: [...devices.filter(({ device }) => device !== status.device), status],
    bath: status.device === "bath-probe" ? withReading(bath, status) : bath,
  };
}

/** With a probe's latest reading, thinned as the farm's machine thins them: the one before goes where it said nothing new. */
export function withReading(
  bath: readonly WaterReading[],
  { device, state, last }: DeviceStatus,
): readonly WaterReading[] {
  const latest = bath.at(-1);
  if (state !== "reading" || !last || last.at <= (latest?.at ?? 0)) return bath;
  const kept = bath.at(-2);
  const asKept = kept && { at: kept.at, valueThousandths: Math.round(kept.celsius * 1000), isSteady: true };
  const before = latest && !isWorthKeeping(device, last, asKept) ? bath.slice(0, -1) : bath;
  return [...before, { at: last.at, celsius: last.valueThousandths / 1000 }];
}
