import { useDevices } from "#app/ui/device/use-devices.ts";
import { Button } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { STATE_WORDS } from "#app/words/device-words.ts";
import type { DeviceStatus } from "#devices/attached/device-status.ts";

interface FromScaleProps {
  /** Name of the box that takes the weight. */
  field: string;
  devices: readonly DeviceStatus[];
}

/** Less than this on the pan is nothing, grams: a scale drifts. */
const NOTHING_GRAMS = 20;

/** What lies on the bench scale, to be put into the weight's box instead of typing it. Nothing where the farm has no scale. */
export function FromScale({ field, devices: loaded }: FromScaleProps) {
  const show = useShow();
  const scale = useDevices(loaded).find(({ device }) => device === "bench-scale");
  if (!scale) return null;
  const { state, last } = scale;
  if (state !== "reading" || !last)
    return (
      <p className="text-sm text-soft">
        Scale {STATE_WORDS[state].short}. {STATE_WORDS[state].remedy}
      </p>
    );
  const grams = last.valueThousandths / 1000;
  const isEmpty = grams < NOTHING_GRAMS;
  return (
    <Button
      kind="plain"
      type="button"
      className="min-h-16 w-full"
      disabled={isEmpty || !last.isSteady}
      onClick={({ currentTarget }) => {
        const box = currentTarget.form?.elements.namedItem(field);
        if (box instanceof HTMLInputElement) typeInto(box, `${grams}g`);
      }}
    >
      {isEmpty
        ? "The scale is empty"
        : last.isSteady
          ? `Take ${show.bird(last.valueThousandths)} from the scale`
          : `${show.bird(last.valueThousandths)}, wait until it is still`}
    </Button>
  );
}

/** As if it had been typed, so that whatever follows the box hears of it. */
function typeInto(box: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(box, text);
  box.dispatchEvent(new Event("input", { bubbles: true }));
  box.focus();
}
