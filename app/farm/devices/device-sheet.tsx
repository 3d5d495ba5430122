import { useFetcher } from "react-router";
import { SIMULATED_DEEDS } from "#app/farm/devices/device-form.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { DEVICE_NAMES, LOW_BATTERY, STATE_WORDS } from "#app/words/device-words.ts";
import type { AttachedDevice } from "#core/quantity/device-reading.ts";
import type { AttachedAt } from "#db/device/address-queries.server.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

interface DeviceSheetProps {
  device: AttachedDevice;
  address: AttachedAt;
  status: DeviceStatus | undefined;
}

/** One device: its reading in large type, how it is doing, and for a stand-in, what can be done to it. */
export function DeviceSheet({ device, address, status }: DeviceSheetProps) {
  const show = useShow();
  const { short, remedy } = STATE_WORDS[status?.state ?? "not-reached"];
  const last = status?.state === "reading" ? status.last : undefined;
  return (
    <Sheet heading={DEVICE_NAMES[device]} beside={`${address.host}, port ${address.port}`}>
      <p className="font-display text-5xl leading-none" aria-live="off">
        {last ? (
          device === "bath-probe" ? (
            show.temperature(last.valueThousandths / 1000)
          ) : (
            show.bird(last.valueThousandths)
          )
        ) : (
          <span className="text-rule">–</span>
        )}
      </p>
      <p role="status" className="py-2 first-letter:uppercase">
        <strong>{status?.isSimulated ? `Simulated, ${short}` : short}</strong>
        {last && !last.isSteady && ", moving"}
        {status?.battery !== undefined && `, battery ${status.battery} %`}
        {(status?.battery ?? 100) < LOW_BATTERY && ": charge it before the day"}. {remedy}
      </p>
      {status?.isSimulated && <Simulated device={device} />}
      <RemoveButton entryId={address.entryId} back="/farm/devices" what={DEVICE_NAMES[device]} />
    </Sheet>
  );
}

const DEED_NAMES: Readonly<Record<string, string>> = {
  dunk: "Dunk a bird",
  "dunk-two": "Dunk two",
  lift: "Lift",
  "cold-water": "Pour in cold water",
  unplug: "Unplug for 20 s",
  hang: "Freeze its reading",
  free: "Unfreeze it",
  garble: "Garble for 20 s",
  "small-bird": "Put on a small bird",
  "usual-bird": "Put on a usual bird",
  "large-bird": "Put on a large bird",
  empty: "Take it off",
};

/** What can be put into the simulated bath, or on the simulated scale. */
function Simulated({ device }: Pick<DeviceSheetProps, "device">) {
  const fetcher = useFetcher();
  return (
    <fetcher.Form method="post" action="/farm/devices/simulate" className="flex flex-wrap gap-2 pb-3">
      <input type="hidden" name="device" value={device} />
      {Object.keys(SIMULATED_DEEDS[device]).map((deed) => (
        <Button key={deed} kind="plain" name="deed" value={deed}>
          {DEED_NAMES[deed]}
        </Button>
      ))}
    </fetcher.Form>
  );
}
