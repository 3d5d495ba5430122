import { group } from "d3-array";
import { stationPages } from "#app/days/plan/line/station-words.ts";
import { stockForDay } from "#app/days/plan/supplies/stock-for-day.server.ts";
import { planOf } from "#app/server/day/plan-of-day.server.ts";
import { tasksOfDay } from "#app/server/day/tasks-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { supplySettings } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { workPool } from "#app/server/work-pool.server.ts";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural, type Show, showFor } from "#app/words/show.ts";
import { SANITIZER_CAUTION, SUPPLY_WORDS, sanitizerInWords, supplyAmount } from "#app/words/supply-words.ts";
import type { TaskWords } from "#app/words/task-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { dayNeeds, plannedUse } from "#core/day/supplies/day-needs.ts";
import type { DayTask } from "#core/day/tasks/task-shapes.ts";
import type { TasksOfDate } from "#workers/pdf/run-sheet.ts";
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
    dates: tasksByDate(
      tasksOfDay(here, farm, day).filter(({ key }) => key !== "day"),
      farm.timeZone,
      show,
    ),
    needs: dayNeeds(use, stockForDay(here, farm, day).supplies).map(({ kind, supply, amount, short }) => ({
      what: supply?.name ?? SUPPLY_WORDS[kind].name,
      amount: supplyAmount(kind, amount, show),
      short: short ? `${supplyAmount(kind, short, show)} short` : "",
    })),
    mix: {
      heading: "Sanitizing solution",
      lines: [sanitizerInWords(use.hypochloriteFraction.value, show), SANITIZER_CAUTION],
    },
    stations: stationPages(planned, show).map((page) => ({ ...page, lines: page.lines.map(unbroken) })),
  });
  return new Response(new Uint8Array(pdf), {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": `attachment; filename="run-sheet-${day.processedOn}.pdf"`,
      "Cache-Control": "no-store",
    },
  });
}

const tasksByDate = (tasks: readonly (DayTask & TaskWords)[], timeZone: string, show: Show): TasksOfDate[] =>
  [...group(tasks, ({ at }) => localDayOf(at, timeZone))].map(([day, ofDay]) => ({
    date: show.longDay(day),
    tasks: ofDay.map(({ at, title, who, why }) => ({
      when: show.time(at),
      what: title,
      more: unbroken([who, why].filter(Boolean).join(": ")),
    })),
  }));

/** A number stays on one line with its unit. */
const unbroken = (words: string) => words.replace(/(\d) (?=°|(?:min|h|s|lb|oz|kg|g|gal|l)\b)/g, "$1\u00a0");
