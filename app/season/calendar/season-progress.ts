import { type JobState, seasonJob } from "#app/season/calendar/season-job.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import type { Route } from "./+types/season-progress.ts";

/** How far the season is: what a page asks while it is being calculated, instead of loading all of itself again. */
export function loader({ context }: Route.LoaderArgs): JobState {
  const here = context.get(farmContext);
  requireFarm(here);
  return seasonJob();
}
