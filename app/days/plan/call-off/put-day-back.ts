import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/put-day-back.ts";

/** Puts a day back that was called off or deleted. */
export function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const dayId = idFrom(params.dayId, "day");
  const outcome = here.file.putDayBack(dayId, here.now());
  if (outcome === "put-back") return redirect(`/days/${dayId}/plan`, 303);
  const words = {
    gone: "That day was not called off.",
    "batch-twice": "Two lots of that day are of one batch, so it can't be put back.",
    "more-than-alive":
      "Not all of its birds are free any more: some are lost, processed, or on another day. Schedule a new day with those that are left.",
  };
  throw data(words[outcome], { status: 409 });
}
