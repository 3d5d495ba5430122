import { Form } from "react-router";
import { Figure } from "#app/ui/figure.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { Route } from "./+types/rest.ts";

/** Well water instead of ice: what the tank settles at, and whether a bird ever gets cold in it. */
export function TrickleSheet({ trickle }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  const target = show.temperature(CHILL.targetCelsius);
  return (
    <Sheet heading="Well water instead of ice" className="print:hidden">
      <Figure
        label={`Where the tank settles, with ${show.volume(trickle.litersPerMinute)} a minute`}
        reckoning={trickle.tank}
      />
      <p className="py-1">
        {trickle.chillHours === undefined ? (
          <b className="text-barn">
            That is too warm: no bird gets under {target} in it, however long it lies. Use it to take the
            first heat off, then go on with ice.
          </b>
        ) : trickle.chillHours > trickle.hours ? (
          <b className="text-barn">
            A bird is under {target} only after {show.minutes(trickle.chillHours * 60)}, past the{" "}
            {show.minutes(trickle.hours * 60)} that are commonly allowed. Go on with ice.
          </b>
        ) : (
          `A bird is under ${target} after ${show.minutes(trickle.chillHours * 60)}.`
        )}{" "}
        It takes {show.volume(trickle.liters)} in {show.minutes(trickle.hours * 60)}.
      </p>
      <Form className="flex flex-wrap items-end gap-3 py-2 print:hidden" preventScrollReset>
        <label className="grid gap-1 text-sm font-semibold">
          Flow, {show.isUs ? "gallons" : "liters"} a minute
          <input
            name="flow"
            inputMode="decimal"
            defaultValue={trickle.flowTyped}
            maxLength={10}
            className="field-box text-base font-normal"
          />
        </label>
        <Button kind="plain">Work it out</Button>
      </Form>
    </Sheet>
  );
}
