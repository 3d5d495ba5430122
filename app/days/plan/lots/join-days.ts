import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { MOST_LOTS } from "#core/processing-line/line-context.ts";
import type { Route } from "./+types/join-days.ts";

/** Makes another day of the same date part of this one. */
export function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const otherId = idFrom(params.otherId, "day");
  const outcome = here.file.joinDays(day.id, otherId);
  if (outcome === "joined") return redirect(`/days/${day.id}/plan?joined=${otherId}`, 303);
  const words = {
    "other-date": "The two days are on different dates now. Reload the page.",
    "batch-twice": "Both days have birds of the same batch. Put those birds into one lot first.",
    "day-settled": "One of the two days is settled and locked.",
    "day-started": "The other day has started already, so it stays a day of its own.",
    "too-many-lots": `A day takes at most ${MOST_LOTS} lots.`,
    gone: "The other day is not there any more. Reload the page.",
  };
  throw data(words[outcome], { status: 409 });
}
