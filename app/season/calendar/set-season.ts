import { redirect } from "react-router";
import { startSeason } from "#app/season/calendar/season-job.server.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { readWithPool } from "#app/server/pooled/pooled.server.ts";
import { seasonPlan } from "#core/day/season/season-plan.ts";
import type { Route } from "./+types/set-season.ts";

export const loader = () => redirect("/season");

/** Starts working the season out; the page shows how far it is. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const plan = await readWithPool(request.signal, () => seasonPlan(seasonFacts(here, requireFarm(here))));
  startSeason(here, plan);
  return redirect("/season", 303);
}
