import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { DayPlan } from "#core/day/plan/day-plan.ts";
import type { Route } from "./+types/day-json.ts";

/** A plan without what each of its mornings came to, which is long and can be played again. */
function planWithoutMornings({ line, ...plan }: DayPlan) {
  const { answer, ...rest } = line;
  const { lastChills: _lastChills, kills: _kills, chills: _chills, ...summary } = answer;
  return { ...plan, line: { ...rest, answer: summary } };
}

/** All of a day: what was chosen, what happened, what was weighed, and what was calculated from it with its working. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, batch } = requireDay(here, params.dayId);
  const file = here.file;
  const whole = {
    format: "pale-morning-day",
    version: 1,
    farm: { name: farm.name, time_zone: farm.timeZone, currency: farm.currency },
    batch,
    day,
    plan: planWithoutMornings(planOf(here, farm, batch, day).plan),
    kept_plan: file.keptPlan(day.id) ?? null,
    events: file.run.events(day.id),
    carcasses: file.pack.carcasses(day.id),
    costs: file.settling.costs(day.id),
    settlement: settlementOf(here, farm, batch, day).settlement ?? null,
  };
  return new Response(JSON.stringify(whole, null, 2), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="day-${day.processedOn}.json"`,
    },
  });
}
