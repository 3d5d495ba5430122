import { Form } from "react-router";
import type { PrinterNow } from "#app/server/device/label-printer.server.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { DEVICE_NAMES } from "#app/words/device-words.ts";
import { plural } from "#app/words/show.ts";

const STATES = {
  ready: "ready",
  "no-paper": "out of paper. Put in a new roll",
  "not-reached": "not reached. Check its plug, its power, and its address",
} as const;

/** Hundredths of a millimeter in a point. */
const HUNDREDTHS_PER_POINT = 2540 / 72;

/** The label printer: how it is doing, and for the stand-in, the label that came out last. */
export function PrinterSheet({ entryId, host, port, state, left, isSimulated, last }: PrinterNow) {
  return (
    <Sheet heading={DEVICE_NAMES["label-printer"]} beside={`${host}, port ${port}`}>
      <p role="status" className="py-2 first-letter:uppercase">
        <strong>
          {isSimulated ? "Simulated, " : ""}
          {STATES[state]}
        </strong>
        {left !== undefined && `, ${plural(left, "label")} left`}.
      </p>
      {last && (
        <svg
          viewBox={`0 0 ${last.width} ${last.height}`}
          role="img"
          aria-label={`Printed last: ${last.texts.map(({ text }) => text).join(", ")}`}
          className="w-full border border-ink bg-white"
        >
          {last.texts.map(({ x, y, points, isStrong, text }) => (
            <text
              key={`${x} ${y}`}
              x={x}
              y={y}
              fontSize={points * HUNDREDTHS_PER_POINT}
              className={`fill-black ${isStrong ? "font-semibold" : ""}`}
            >
              {text}
            </text>
          ))}
          {last.blocks.map(([x, y, width, height]) => (
            <rect key={`${x} ${y}`} x={x} y={y} width={width} height={height} className="fill-black" />
          ))}
        </svg>
      )}
      {isSimulated && (
        <Form method="post" action="/farm/devices/simulate" className="flex flex-wrap gap-2 py-3">
          <input type="hidden" name="device" value="label-printer" />
          <Button kind="plain" name="deed" value="no-paper">
            Take its paper out
          </Button>
          <Button kind="plain" name="deed" value="paper">
            Put in a roll of 60
          </Button>
        </Form>
      )}
      <RemoveButton entryId={entryId} back="/farm/devices" what={DEVICE_NAMES["label-printer"]} />
    </Sheet>
  );
}
