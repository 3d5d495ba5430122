import { lineFileOf } from "#app/days/plan/file/write-line-file.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { localClock } from "#core/calendar/farm-time.ts";
import type { Route } from "./+types/plan-json.ts";

/** The day's line as a file, which the command `simulate` plays. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const { plan } = planOf(here, farm, day);
  const file = lineFileOf(plan.line.setup.day, {
    lots: plan.lots.map(({ kind, forecast, choices }) => ({
      kind,
      liveKilograms: forecast.live.value,
      scald: choices.scaldMethod,
    })),
    start: localClock(day.startAt, day.timeZone),
    pluckBy: day.pluckBy,
  });
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="plan-${day.processedOn}.json"`,
    },
  });
}
