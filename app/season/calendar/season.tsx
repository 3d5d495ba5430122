import { useEffect } from "react";
import { useFetcher, useRevalidator } from "react-router";
import { SeasonGroups, SeasonMoney } from "#app/season/calendar/season-margin.tsx";
import type { loader as seasonProgress } from "#app/season/calendar/season-progress.ts";
import { type SeasonView, seasonView } from "#app/season/calendar/season-view.server.ts";
import { SkyCalendar } from "#app/season/calendar/sky-calendar.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { newEntryId } from "#app/server/submitted.server.ts";
import { ButtonLink, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";
import type { Route } from "./+types/season.ts";

export const meta = () => [{ title: "Season · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const view = seasonView(here, requireFarm(here));
  return { view, entryIds: view.groups.map(newEntryId) };
}

function ToDo({ toDo }: { toDo: SeasonView["toDo"] }) {
  const show = useShow();
  if (toDo.length === 0) return null;
  return (
    <Sheet heading="To do" beside="for scheduled days, next three weeks" className="mt-4">
      <ol className="grid gap-x-8 sm:grid-cols-2">
        {toDo.map(({ uid, at, title, why }) => (
          <li key={uid} className="grid grid-cols-3 gap-3 border-b border-rule py-2 last:border-b-0">
            <span className="text-sm text-soft">
              {show.shortDay(localDayOf(at, show.timeZone))} {show.time(at)}
            </span>
            <span className="col-span-2">
              {title}
              <span className="block text-sm text-soft">{why}</span>
            </span>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

/** How often a page asks how far the season is, while it is being calculated. */
const ASK_MILLISECONDS = 400;

export default function Season({ loaderData: { view, entryIds } }: Route.ComponentProps) {
  const { revalidate } = useRevalidator();
  const { load, data: progress, state } = useFetcher<typeof seasonProgress>();
  const { isWorking } = view.job;
  const isDone = isWorking && progress?.isWorking === false;
  useEffect(() => {
    // One question at a time: a new one would call off one that a busy machine has not answered yet.
    if (!isWorking || isDone || state !== "idle") return;
    const timer = setTimeout(() => void load("/season/progress"), ASK_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [isWorking, isDone, state, load]);
  useEffect(() => {
    if (isDone) void revalidate();
  }, [isDone, revalidate]);
  const job = isWorking && progress?.isWorking ? progress : view.job;
  return (
    <div className="grid gap-3 p-4 md:px-5 md:py-3">
      <header className="flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <h1 className="text-3xl">Season</h1>
        <nav aria-label="Season settings" className="flex flex-wrap gap-2">
          <ButtonLink kind="plain" to="/season/people">
            People
          </ButtonLink>
          <ButtonLink kind="plain" to="/season/dates">
            Dates and weather
          </ButtonLink>
          <ButtonLink kind="plain" to="/season/rules">
            Prices and limits
          </ButtonLink>
          <ButtonLink kind="plain" to="/season/chicks">
            How many chicks?
          </ButtonLink>
          <ButtonLink kind="plain" to="/season/calendar.ics" reloadDocument>
            Calendar file
          </ButtonLink>
        </nav>
      </header>
      {view.peopleCount === 0 && (
        <Notice>Add who helps and when they can come, under People. A day needs a crew.</Notice>
      )}
      <div className="grid items-start gap-4 lg:grid-cols-4">
        {/* The answer first: on a phone it stands above the list of days, at a desk beside them. */}
        <div className="grid gap-4 lg:order-last">
          <SeasonMoney view={{ ...view, job }} />
          <SeasonGroups groups={view.groups} entryIds={entryIds} />
        </div>
        <div className="min-w-0 lg:col-span-3">
          <SkyCalendar {...view} />
          <ToDo toDo={view.toDo} />
        </div>
      </div>
      <noscript>{isWorking && <meta httpEquiv="refresh" content="2" />}</noscript>
    </div>
  );
}
