import { redirect } from "react-router";
import { startSeason } from "#app/season/calendar/season-job.server.ts";
import { requireFarm } from "#app/server/farm-file.server.ts";
import { seasonFacts } from "#app/server/season-reading.server.ts";
import { seasonPlan } from "#core/day/season/season-plan.ts";

export const loader = () => redirect("/season");

/** Starts working the season out; the page shows how far it is. */
export function action() {
  startSeason(seasonPlan(seasonFacts(requireFarm())));
  return redirect("/season", 303);
}
