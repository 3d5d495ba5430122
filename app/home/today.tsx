import { Form, Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { isAtHand } from "#app/server/visitor/refusal.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import { Button, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import type { Route } from "./+types/today.ts";

export const meta = () => [{ title: "Today · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return {
    name: context.get(visitorContext).name,
    today: localDayOf(here.now(), farm.timeZone),
    days: here.file
      .openDays()
      .filter(({ id }) => isAtHand(here, id))
      .map((day) => ({
        id: day.id,
        processedOn: day.processedOn,
        startAt: day.startAt,
        line: lotsInWords(lotsOfDay(here, day)),
      })),
  };
}

const PARTS = [
  { path: "run", name: "Run", line: "counts, posts, and the board" },
  { path: "tasks", name: "To do", line: "tasks and their times" },
  { path: "rest", name: "Rest", line: "birds in ice and in the refrigerator" },
  { path: "cut", name: "Cut", line: "cut list and by-products" },
  { path: "pack", name: "Pack", line: "weigh, label, put away" },
] as const;

/** Where a helper begins: the days that are worked on about now, and what is done on them. */
export default function Today({ loaderData: { name, today, days } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Today" line={name === "" ? show.longDay(today) : `${show.longDay(today)}, ${name}`} />
      {days.length === 0 && (
        <EmptyPlace heading="No processing day today">
          <p>Processing days show here from the day before until a week after.</p>
        </EmptyPlace>
      )}
      {days.map((day) => (
        <Sheet
          key={day.id}
          heading={show.longDay(day.processedOn)}
          beside={`starts ${show.time(day.startAt)}`}
        >
          <p className="pb-2">{day.line}</p>
          <ul className="grid gap-3 sm:grid-cols-2">
            {PARTS.map(({ path, name: part, line }) => (
              <li key={path}>
                <Link
                  to={`/days/${day.id}/${path}`}
                  className="grid min-h-16 content-center rounded-sheet border border-soft bg-leaf px-4 py-2"
                >
                  <b className="text-lg">{part}</b>
                  <span className="text-sm text-soft">{line}</span>
                </Link>
              </li>
            ))}
          </ul>
        </Sheet>
      ))}
      {name !== "" && (
        <Form method="post" action="/sign-out">
          <Button kind="plain">Sign out on this phone</Button>
        </Form>
      )}
    </Page>
  );
}
