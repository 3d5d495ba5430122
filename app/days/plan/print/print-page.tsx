import { DayHead } from "#app/days/leaves.tsx";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { ButtonLink, Page, Sheet } from "#app/ui/sheet.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import type { Route } from "./+types/print-page.ts";

export const meta = () => [{ title: "Print · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  return { day, line: lotsInWords(lots) };
}

/** The plan to be taken away from the screen: on paper, in a calendar, as a file. */
export default function PrintPage({ loaderData: { day, line } }: Route.ComponentProps) {
  const at = `/days/${day.id}`;
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <PlanNav dayId={day.id} />
      <div className="grid items-start gap-5 sm:grid-cols-2">
        <Sheet heading="To hang on the wall">
          <div className="grid justify-items-start gap-3 py-1">
            <ButtonLink to={`${at}/run-sheet.pdf`} reloadDocument>
              Everything as PDF
            </ButtonLink>
            <p className="text-sm text-soft">
              The schedule, a page per station, and what to have ready. Large type, one-sided.
            </p>
            <ButtonLink kind="plain" to={`${at}/sheet`}>
              Printable run sheet
            </ButtonLink>
            <ButtonLink kind="plain" to={`${at}/stations`}>
              Station sheets
            </ButtonLink>
          </div>
        </Sheet>
        <Sheet heading="Export">
          <div className="grid justify-items-start gap-3 py-1">
            <ButtonLink kind="plain" to="/season/calendar.ics" reloadDocument>
              Add to your calendar
            </ButtonLink>
            <p className="text-sm text-soft">
              Every scheduled day and its tasks, each with its time, who does it, and why.
            </p>
            <ButtonLink kind="plain" to={`${at}/plan.json`} reloadDocument>
              Export this plan
            </ButtonLink>
            <p className="text-sm text-soft">
              A small file with the birds, people, and equipment. Another day can start from it.
            </p>
          </div>
        </Sheet>
      </div>
    </Page>
  );
}
