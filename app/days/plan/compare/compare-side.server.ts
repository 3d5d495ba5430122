import { sum } from "d3-array";
import type { Side } from "#app/days/plan/compare/compare-rows.ts";
import { stockForDay } from "#app/days/plan/supplies/stock-for-day.server.ts";
import { seasonFacts } from "#app/server/day/season-reading.server.ts";
import { forecastDays } from "#app/server/device/weather.server.ts";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { limitInPool, planInPool } from "#app/server/pooled/sums.server.ts";
import type { PlanBasis, PlanForDate } from "#core/day/plan/plan-for-date.ts";
import { weatherOnDay } from "#core/day/plan/weather-on-day.ts";
import { seasonDay } from "#core/day/season/season-day.ts";
import { dayNeeds, plannedUse } from "#core/day/supplies/day-needs.ts";
import type { DatedChoices } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";

/** A plan with what speaks for and against it: what it costs to stock, the sky, and who has said that they can't. */
export function sideOf(
  here: FarmContext,
  farm: Farm,
  basis: PlanBasis,
  dayId: number,
  choices: DatedChoices,
): Side {
  const planned = planInPool({ basis, processedOn: choices.processedOn, choices });
  const [forecast] = forecastDays(here, farm, choices.processedOn, 1);
  const { supplies } = stockForDay(here, farm, { id: dayId, startAt: choices.startAt });
  const needs = dayNeeds(plannedUse(planned, supplySettings(farm)), supplies);
  return {
    processedOn: choices.processedOn,
    planned,
    bottleneck: limitInPool(planned.plan.line.setup.day)?.station,
    toBuyCents: sum(needs, ({ cents }) => cents),
    weather: forecast && weatherOf(planned, forecast),
    against: speaksAgainst(here, farm, choices),
  };
}

const weatherOf = (
  { sun, choices, plan }: PlanForDate,
  { spell, ...temperatures }: ReturnType<typeof forecastDays>[number],
) => weatherOnDay({ temperatures, said: spell?.what ?? "", sun, startAt: choices.startAt, line: plan.line });

function speaksAgainst(here: FarmContext, farm: Farm, { processedOn, crew }: DatedChoices): string[] {
  const day = seasonDay(seasonFacts(here, farm), processedOn);
  const away = day.people.filter(
    ({ name, canCome }) => !canCome && crew.some((seat) => seat.personId !== undefined && seat.name === name),
  );
  return [
    ...away.map(({ name, why }) => (why === "" ? `${name} can't come` : `${name} can't come: ${why}`)),
    ...(day.hiredThing !== "" && !day.isBooked ? [`${day.hiredThing.toLowerCase()} not booked`] : []),
    ...day.marks.filter(({ kind }) => kind !== "note").map(({ what }) => what),
    ...(day.isHot ? ["hot"] : []),
  ];
}
