import { data, redirect } from "react-router";
import { tooManyBirds } from "#app/days/plan/choices/lot-form.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/restore-lot.ts";

/** Puts a lot that was taken off a day back. */
export function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const lotId = idFrom(params.lotId, "lot");
  const batchId = here.file.removedLot(day.id, lotId)?.batchId;
  const outcome = here.file.restoreLot(day.id, lotId);
  if (outcome === "restored") return redirect(`/days/${day.id}/plan`, 303);
  const words = {
    "day-settled": "That lot can't be put back: the day is settled, or the lot is gone.",
    "batch-twice": "Birds of that batch are on the day again. Change their number in the plan.",
    "more-than-alive": tooManyBirds(batchId === undefined ? 0 : here.file.freeForDay(batchId, day.id)),
  };
  throw data(words[outcome], { status: 409 });
}
