import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/split-day.ts";

/** Makes a day that was made part of this one a day of its own again. */
export function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const outcome = here.file.splitDay(idFrom(params.otherId, "day"));
  if (outcome === "split") return redirect(`/days/${day.id}/plan`, 303);
  const words = {
    "birds-weighed": "Birds of the other day are weighed already, so the two stay one day.",
    "day-started": "The day has started, so the two stay one day.",
    "day-settled": "This day is settled and locked. Reopen it under Settle first.",
    "last-lot": "One of the two days would have no lot left. Add a lot first, or leave them one day.",
    gone: "These are two days already.",
  };
  throw data(words[outcome], { status: 409 });
}
