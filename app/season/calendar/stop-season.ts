import { redirect } from "react-router";
import { stopSeason } from "#app/season/calendar/season-job.server.ts";

export const loader = () => redirect("/season");

/** Stops working the season out; the best so far is kept. */
export function action() {
  stopSeason();
  return redirect("/season", 303);
}
