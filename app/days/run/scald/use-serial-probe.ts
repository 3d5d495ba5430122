import { useEffect, useRef, useState } from "react";
import { withReading } from "#app/days/run/live/use-attached.ts";
import { SECOND } from "#core/calendar/milliseconds.ts";
import type { WaterReading } from "#core/day/run/bath-readings.ts";
import { listenTo } from "#devices/attached/attached-driver.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";
import { serialLines, serialOf } from "#devices/attached/serial-lines.ts";

interface SerialProbe {
  /** The farm's clock. */
  readonly now: number;
  /** Hears of readings that the farm is to know too. */
  readonly onWorthSaying: (celsius: number) => void;
}

/** What is plugged into one phone is told to the farm this often, and at each change of this much, °C. */
const SAY_MILLISECONDS = 30 * SECOND;
const SAY_CELSIUS = 0.5;

/** A probe that is plugged into this phone and was allowed on the devices page; its readings are here at once, and told thinned. */
export function useSerialProbe({ now, onWorthSaying }: SerialProbe) {
  const [status, setStatus] = useState<DeviceStatus>();
  const [readings, setReadings] = useState<readonly WaterReading[]>([]);
  const latest = useRef({ offset: 0, onWorthSaying, said: undefined as WaterReading | undefined });
  latest.current.offset = now - Date.now();
  latest.current.onWorthSaying = onWorthSaying;

  useEffect(() => {
    const serial = serialOf(navigator);
    if (!serial) return;
    const left = new AbortController();
    const hear = (next: DeviceStatus) => {
      setStatus(next);
      setReadings((before) => withReading(before, next));
      const { said } = latest.current;
      if (next.state !== "reading" || !next.last) return;
      const reading = { at: next.last.at, celsius: next.last.valueThousandths / 1000 };
      const isNews =
        !said ||
        reading.at - said.at >= SAY_MILLISECONDS ||
        Math.abs(reading.celsius - said.celsius) >= SAY_CELSIUS;
      if (!isNews) return;
      latest.current.said = reading;
      latest.current.onWorthSaying(reading.celsius);
    };
    void serial.getPorts().then(([port]) => {
      if (!port || left.signal.aborted) return;
      const driver = {
        device: "bath-probe",
        lines: (signal: AbortSignal, onReached: () => void) => serialLines(port, signal, onReached),
        now: () => Date.now() + latest.current.offset,
        hear,
      } as const;
      return listenTo(driver, left.signal);
    });
    return () => left.abort();
  }, []);
  return { status, readings };
}
