import { Link } from "react-router";
import { stationPages } from "#app/days/plan/line/station-words.ts";
import { planToSend } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import type { Route } from "./+types/station-sheets.ts";

export const meta = () => [{ title: "Station sheets · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  return { day, farmName: farm.name, planned: planToSend(here, farm, day) };
}

/** One page a station, in large type, to be taped where the work is. */
export default function StationSheets({ loaderData: { day, farmName, planned } }: Route.ComponentProps) {
  const show = useShow();
  const pages = stationPages(planned, show);
  return (
    <div className="bg-white">
      <p className="flex flex-wrap gap-4 p-4 print:hidden">
        <Link to={`/days/${day.id}/print`} className="lone-link">
          Back to Print
        </Link>
        <span className="text-soft">Print this from your browser: {pages.length} pages.</span>
      </p>
      {pages.map(({ key, heading, people, lines, foot }) => (
        <article key={key} className="grid content-start gap-6 p-8 print:min-h-screen print:break-after-page">
          <header className="border-b-4 border-ink pb-3">
            <p className="text-xl">
              {farmName}, {show.longDay(day.processedOn)}
            </p>
            <h1 className="text-4xl sm:text-6xl print:text-6xl">{heading}</h1>
          </header>
          {people.length > 0 && (
            <p className="text-3xl">
              {people.map(({ name, isFirst }, index) => (
                <span key={name}>
                  {index > 0 && ", "}
                  <b>{name}</b>
                  {!isFirst && " helps"}
                </span>
              ))}
            </p>
          )}
          <ul className="grid gap-4 text-3xl">
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="text-2xl">{foot}</p>
        </article>
      ))}
    </div>
  );
}
