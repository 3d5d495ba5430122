import { typeInto } from "#app/ui/device/type-into.ts";
import { useDevices } from "#app/ui/device/use-devices.ts";
import { temperatureAsTyped } from "#app/ui/read/as-typed.ts";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

/** What the attached probe reads, to be put into a temperature's box instead of typing it. Nothing where it reads nothing. */
export function FromProbe({ field, devices }: { field: string; devices: readonly DeviceStatus[] }) {
  const show = useShow();
  const probe = useDevices(devices).find(({ device }) => device === "bath-probe");
  if (probe?.state !== "reading" || !probe.last) return null;
  const probeMillicelsius = probe.last.valueThousandths;
  return (
    <Button
      kind="plain"
      type="button"
      className="col-span-2 min-h-12"
      onClick={({ currentTarget }) => {
        const box = currentTarget.form?.elements.namedItem(field);
        if (box instanceof HTMLInputElement)
          typeInto(box, temperatureAsTyped(show.unitSystem, probeMillicelsius));
      }}
    >
      Take {show.temperature(probeMillicelsius / 1000)} from the probe
    </Button>
  );
}
