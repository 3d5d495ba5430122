import { type JobState, seasonJob } from "#app/season/calendar/season-job.server.ts";
import { requireFarm } from "#app/server/farm-file.server.ts";

/** How far the season is: what a page asks while it is being calculated, instead of loading all of itself again. */
export function loader(): JobState {
  requireFarm();
  return seasonJob();
}
