import { dayInFile } from "#app/days/settle/day-in-file.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/day-json.ts";

/** All of a day: what was chosen, what happened, what was weighed, and what was calculated from it with its working. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return new Response(JSON.stringify(dayInFile(here, farm, day, lots), null, 2), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="day-${day.processedOn}.json"`,
    },
  });
}
