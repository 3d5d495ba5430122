import { DayHead } from "#app/days/leaves.tsx";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { requireDay } from "#app/server/day-reading.server.ts";
import { ButtonLink, Page, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import type { Route } from "./+types/paper.ts";

export const meta = () => [{ title: "On paper · Pale Morning" }];

export function loader({ params }: Route.LoaderArgs) {
  const { day, batch } = requireDay(params.dayId);
  return { day, line: `${plural(day.birdCount, "bird")} of ${batch.name}` };
}

/** The plan to be taken away from the screen: on paper, in a calendar, as a file. */
export default function Paper({ loaderData: { day, line } }: Route.ComponentProps) {
  const at = `/days/${day.id}`;
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="grid items-start gap-5 sm:grid-cols-2">
        <Sheet heading="To tape to a wall">
          <div className="grid justify-items-start gap-3 py-1">
            <ButtonLink to={`${at}/run-sheet.pdf`} reloadDocument>
              All of it as PDF
            </ButtonLink>
            <p className="text-sm text-soft">
              The order of the day, a page for each station, what to have ready. Large type, one side.
            </p>
            <ButtonLink kind="plain" to={`${at}/sheet`}>
              Run sheet to print
            </ButtonLink>
            <ButtonLink kind="plain" to={`${at}/stations`}>
              A page for each station
            </ButtonLink>
          </div>
        </Sheet>
        <Sheet heading="Elsewhere">
          <div className="grid justify-items-start gap-3 py-1">
            <ButtonLink kind="plain" to="/season/calendar.ics" reloadDocument>
              Into your calendar
            </ButtonLink>
            <p className="text-sm text-soft">
              Every set day and what follows from it, each at its hour, with who and why.
            </p>
            <ButtonLink kind="plain" to={`${at}/plan.json`} reloadDocument>
              Take this plan with you
            </ButtonLink>
            <p className="text-sm text-soft">
              A small text file with the birds, people and kit. Another day can start from it.
            </p>
          </div>
        </Sheet>
      </div>
    </Page>
  );
}
