import { Form } from "react-router";
import { Button, Notice } from "#app/ui/sheet.tsx";
import { plural } from "#app/words/show.ts";

/** A day that was planned by another clock than the farm's, with its start as both clocks show it. */
export interface OtherClockDay {
  readonly id: number;
  readonly planned: string;
  readonly now: string;
  readonly timeZone: string;
}

/** What is asked after the farm's time zone was changed: whether days keep their hours or their moments. */
export function OtherClock({ days }: { days: readonly OtherClockDay[] }) {
  const [first] = days;
  if (!first) return null;
  return (
    <Notice tone="stop">
      <Form method="post" action="/farm/planned-hours" className="grid gap-2">
        <p>
          <b>
            {plural(days.length, "day")} {days.length === 1 ? "was" : "were"} planned by the clock of{" "}
            {first.timeZone}.
          </b>{" "}
          {first.planned} there is {first.now} here. What should stay?
        </p>
        <div className="flex flex-wrap gap-3">
          <Button name="keep" value="hour">
            The hour: {first.planned} by the new clock
          </Button>
          <Button kind="plain" name="keep" value="moment">
            The moment: {first.now} by the new clock
          </Button>
        </div>
      </Form>
    </Notice>
  );
}
