import { stationPages } from "#app/days/plan/line/station-words.ts";
import { stockForDay } from "#app/days/plan/supplies/stock-for-day.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { tasksOfDay } from "#app/server/day/tasks-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural, showFor } from "#app/words/show.ts";
import { SUPPLY_WORDS, supplyAmount } from "#app/words/supply-words.ts";
import { dayNeeds, plannedUse } from "#core/day/supplies/day-needs.ts";
import type { Route } from "./+types/run-sheet-pdf.ts";

/** The run sheet as a PDF: the order of the days, what to have ready, and a page for each station. */
export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const show = showFor(farm);
  const planned = planOf(here, farm, day);
  const use = plannedUse(planned, supplySettings(farm));
  const pdf = await workPool().run("run-sheet", {
    paper: show.paper,
    madeAt: here.now(),
    title: `${farm.name}, ${show.longDay(day.processedOn)}`,
    line: `${lotsInWords(lots)}. ${plural(day.people, "person", "people")}.`,
    tasks: tasksOfDay(here, farm, day)
      .filter(({ key }) => key !== "day")
      .map(({ at, title, who, why }) => ({
        when: show.dateTime(at),
        what: title,
        more: [who, why].filter(Boolean).join(": "),
      })),
    needs: dayNeeds(use, stockForDay(here, farm, day).supplies).map(({ kind, supply, amount, short }) => ({
      what: supply?.name ?? SUPPLY_WORDS[kind].name,
      amount: supplyAmount(kind, amount, show),
      short: short ? `${supplyAmount(kind, short, show)} short` : "",
    })),
    stations: stationPages(planned, show),
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": `attachment; filename="run-sheet-${day.processedOn}.pdf"`,
      "Cache-Control": "no-store",
    },
  });
}
