import { useState } from "react";
import { useDevices } from "#app/ui/device/use-devices.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { MILLILITERS_PER_GALLON } from "#core/quantity/conversion.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import { DIP_CELSIUS, dipHeatUp, dipVerdict } from "#core/scald/dip-pot.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

interface DipWaterProps {
  devices: readonly DeviceStatus[];
  tapCelsius: number;
  ambientCelsius: number;
}

/** A pot on a small burner, in the farm's own units. */
const USUAL = { us: "5", metric: "20", watts: "5000" } as const;
const MOST = 100_000;

const VERDICT_WORDS = {
  "too-cold": "too cold: bags stay loose",
  right: "right for shrinking",
  "too-hot": "too hot: it cooks the skin and bursts bags",
} as const;

/** How long the dip water takes to heat, and what the probe reads in it, if there is one. */
export function DipWater({ devices, tapCelsius, ambientCelsius }: DipWaterProps) {
  const show = useShow();
  const [volume, setVolume] = useState<string>(show.isUs ? USUAL.us : USUAL.metric);
  const [watts, setWatts] = useState<string>(USUAL.watts);
  const [isBurner, setIsBurner] = useState(true);
  const probe = useDevices(devices).find(({ device }) => device === "bath-probe");
  const celsius = probe?.state === "reading" && probe.last ? probe.last.valueThousandths / 1000 : undefined;
  const liters = (readNumber(volume) ?? 0) * (show.isUs ? MILLILITERS_PER_GALLON / 1000 : 1);
  const power = readNumber(watts) ?? 0;
  const isRead = liters > 0 && liters < MOST && power > 0 && power < MOST;
  const minutes = isRead
    ? dipHeatUp({ liters, watts: power, isBurner, fillCelsius: celsius ?? tapCelsius, ambientCelsius })
    : undefined;
  const [from, to] = DIP_CELSIUS.map((one) => show.air(one));
  return (
    <div className="grid gap-2 py-2">
      <p className="font-semibold">Dip water</p>
      <div className="grid grid-cols-2 gap-3">
        <DipBox label={`Water, ${show.isUs ? "gallons" : "liters"}`} value={volume} onType={setVolume} />
        <DipBox label="Burner or element, W" value={watts} onType={setWatts} />
      </div>
      <label className="flex min-h-12 items-center gap-3">
        <input
          type="checkbox"
          checked={isBurner}
          onChange={({ currentTarget }) => setIsBurner(currentTarget.checked)}
          className="size-6 accent-pine"
        />
        A gas burner, of which most goes past the pot
      </label>
      <p aria-live="polite">
        {!isRead
          ? "Enter the water and the watts."
          : minutes === undefined
            ? "It never gets that hot: a smaller pot, a lid, or more heat."
            : `About ${show.minutes(minutes)} to ${from}–${to}, with a lid on.`}
      </p>
      {celsius !== undefined && (
        <p className="font-semibold">
          The probe reads {show.temperature(celsius)}: {VERDICT_WORDS[dipVerdict(celsius)]}.
        </p>
      )}
    </div>
  );
}

function DipBox({ label, value, onType }: { label: string; value: string; onType: (text: string) => void }) {
  return (
    <label className="grid gap-1 text-sm font-semibold">
      {label}
      <input
        value={value}
        inputMode="decimal"
        maxLength={8}
        onChange={({ currentTarget }) => onType(currentTarget.value)}
        className="field-box text-base font-normal"
      />
    </label>
  );
}
