import { useEffect, useRef } from "react";
import { typeInto } from "#app/ui/device/type-into.ts";
import { useDevices } from "#app/ui/device/use-devices.ts";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { STATE_WORDS } from "#app/words/device-words.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

interface FromScaleProps {
  /** Name of the box that takes the weight. */
  field: string;
  devices: readonly DeviceStatus[];
  /** What is put on an empty pan goes into the box by itself once it lies still. */
  isAutomatic?: boolean;
}

/** Less than this on the pan is nothing, grams: a scale drifts. */
const NOTHING_GRAMS = 20;

/** What lies on the bench scale, to be put into the weight's box instead of typing it. Nothing where the farm has no scale. */
export function FromScale({ field, devices: loaded, isAutomatic = false }: FromScaleProps) {
  const show = useShow();
  const button = useRef<HTMLButtonElement>(null);
  const scale = useDevices(loaded).find(({ device }) => device === "bench-scale");
  const last = scale?.state === "reading" ? scale.last : undefined;
  const grams = last === undefined ? undefined : last.valueThousandths / 1000;
  const isSettled = grams !== undefined && grams >= NOTHING_GRAMS && last?.isSteady === true;
  // Only what comes onto an empty pan is new: the pack that was just saved may still lie there.
  const wasEmpty = useRef(false);
  useEffect(() => {
    if (grams !== undefined && grams < NOTHING_GRAMS) wasEmpty.current = true;
    if (!isAutomatic || !isSettled || !wasEmpty.current) return;
    const box = button.current?.form?.elements.namedItem(field);
    wasEmpty.current = false;
    // What a person typed is theirs.
    if (box instanceof HTMLInputElement && box.value === "") typeInto(box, `${grams}g`);
  }, [isAutomatic, isSettled, grams, field]);
  if (!scale) return null;
  if (!last || grams === undefined)
    return (
      <p className="text-sm text-soft">
        Scale {STATE_WORDS[scale.state].short}. {STATE_WORDS[scale.state].remedy}
      </p>
    );
  return (
    <Button
      ref={button}
      kind="plain"
      type="button"
      className="min-h-16 w-full"
      disabled={!isSettled}
      onClick={({ currentTarget }) => {
        const box = currentTarget.form?.elements.namedItem(field);
        if (box instanceof HTMLInputElement) typeInto(box, `${grams}g`);
      }}
    >
      {grams < NOTHING_GRAMS
        ? "The scale is empty"
        : isSettled
          ? `Take ${show.bird(last.valueThousandths)} from the scale`
          : `${show.bird(last.valueThousandths)}, wait until it is still`}
    </Button>
  );
}
