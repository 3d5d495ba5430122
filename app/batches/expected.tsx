import { Form } from "react-router";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { Button, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Route } from "./+types/batch.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** Birds came, and all have been processed or lost. */
export const isFinished = ({ arrivedCount, aliveCount }: Batch) => arrivedCount > 0 && aliveCount <= 0;

/** A batch of which none is left: what came of it, and where to read on. */
export function Finished({ alive, view }: Loaded) {
  return (
    <Sheet heading="All processed">
      <Figure label="Birds alive" reckoning={alive} beside="now" size="small" />
      <p className="py-1 text-sm">
        {view.days.length === 0
          ? "None was processed here."
          : "What they weighed and cost is on their processing days below, and under Books."}
      </p>
    </Sheet>
  );
}

export function Expected({ batch, view, alive, on, asked, isOnRead, setting }: Loaded) {
  const show = useShow();
  const { forecast } = view;
  const isHatched = forecast.ageDays >= 0;
  const [low, high] = forecast.liveBand;
  return (
    <Sheet
      heading={on === setting.today ? "Expected today" : `Expected ${show.shortDay(on)}`}
      beside={isHatched ? `${plural(forecast.ageDays, "day")} old` : "not hatched yet"}
    >
      <Figure
        label={batch.awaitedOn === undefined ? "Birds alive" : "Chicks on order"}
        reckoning={alive}
        beside={batch.awaitedOn === undefined ? "now" : `due ${show.shortDay(batch.awaitedOn)}`}
        size="small"
      />
      {isHatched && (
        <>
          <Figure
            label="Mean live weight"
            reckoning={forecast.live}
            size="small"
            note={
              <p className="is-worked-out">
                There are 8 chances in 10 that the mean is between {show.value(low, "live-kg")} and{" "}
                {show.value(high, "live-kg")}.
                {forecast.live.rule === "growth-curve" &&
                  " None has been weighed yet, so this goes by the kind alone, and farms differ that much. Weigh five birds to narrow it."}
              </p>
            }
          />
          <Figure label="Mean dressed weight" reckoning={forecast.dressed} size="small" />
          <p className="py-1 text-sm">
            Gaining about {show.value(view.dailyGainKilograms, "live-kg")} a day.{" "}
            {view.sizes.map(
              ({ who, reachedOn }) =>
                reachedOn !== undefined &&
                reachedOn > on &&
                `The mean reaches the size for ${who} about ${show.shortDay(reachedOn)}. `,
            )}
          </p>
        </>
      )}
      {forecast.isPastCurve && (
        <Notice>At this age the growth curve is only an estimate. Weigh a few birds to correct it.</Notice>
      )}
      <OnAnotherDate asked={asked} hatchedOn={batch.hatchedOn} isRead={isOnRead} />
    </Sheet>
  );
}

interface OnAnotherDateProps {
  asked: Loaded["asked"];
  hatchedOn: string;
  /** Whether what was asked for is a date that can be shown. */
  isRead: boolean;
}

function OnAnotherDate({ asked, hatchedOn, isRead }: OnAnotherDateProps) {
  const show = useShow();
  return (
    <Form method="get" preventScrollReset className="mt-3 flex items-end gap-2">
      <AskBox
        type="date"
        name="on"
        label="On another date"
        defaultValue={asked}
        min={hatchedOn}
        fault={
          isRead
            ? undefined
            : `Choose a date from ${show.dayWithYear(hatchedOn)} on, when they hatch. Today is shown for now.`
        }
      />
      <Button kind="plain">Show</Button>
    </Form>
  );
}
