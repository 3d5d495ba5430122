import { useEffect, useState } from "react";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

/** The farm's attached devices as they are now, for as long as the page is shown. */
export function useDevices(loaded: readonly DeviceStatus[]): readonly DeviceStatus[] {
  const [devices, setDevices] = useState(loaded);
  useEffect(() => setDevices(loaded), [loaded]);
  const hasAny = loaded.length > 0;
  useEffect(() => {
    if (!hasAny) return;
    const source = new EventSource("/farm/devices/live");
    source.addEventListener("device", ({ data }) => {
      const status = JSON.parse(data) as DeviceStatus;
      setDevices((before) => [...before.filter(({ device }) => device !== status.device), status]);
    });
    return () => source.close();
  }, [hasAny]);
  return devices;
}
