import { useEffect } from "react";
import { useRevalidator } from "react-router";
import { DataTable } from "#app/ui/data-table.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { positionWords } from "#app/words/run-words.ts";
import { MINUTE } from "#core/calendar/milliseconds.ts";
import type { Chance } from "#core/day/forecast/run-forecast.ts";
import type { DayFact, Position } from "#core/day/run/day-fact.ts";
import { pausesOf } from "#core/day/run/run-progress.ts";
import { type CountedPost, stationsAsRun, stretchesOf } from "#core/day/run/stations-as-run.ts";

/** When the last bird was likely to be in the chill, as it looked at a moment. */
export interface ForecastAt {
  readonly at: number;
  readonly chance: Chance | undefined;
}

interface DayShown {
  readonly facts: readonly DayFact[];
  /** When the day ended, or now. */
  readonly until: number;
}

const POST_NAMES: Readonly<Record<CountedPost, string>> = {
  kill: "Cones",
  "dip-in": "Scald",
  plucked: "Pluck",
  table: "Evisceration",
  bird: "Into the chill",
};

/** Each post: birds, pace, and the longest time for which nothing passed. */
export function WhereTimeWent({ facts }: Pick<DayShown, "facts">) {
  const show = useShow();
  const rows = stationsAsRun(facts);
  if (rows.length === 0) return null;
  return (
    <Sheet heading="Time by station">
      <div className="py-1">
        <DataTable
          caption="Each post that tapped birds, pauses left out"
          columns={[
            { head: "Post", cell: ({ post }) => POST_NAMES[post] },
            { head: "Birds", cell: ({ birds }) => birds, isNumber: true },
            { head: "First", cell: ({ firstAt }) => show.time(firstAt), isOneLine: true },
            { head: "Last", cell: ({ lastAt }) => show.time(lastAt), isOneLine: true },
            {
              head: "Minutes a bird",
              cell: ({ minutesABird }) => (minutesABird === undefined ? "" : show.decimal(minutesABird, 1)),
              isNumber: true,
            },
            {
              head: "Longest standstill",
              cell: ({ longest }) =>
                longest && `${show.minutes(Math.round(longest.minutes))} at ${show.time(longest.at)}`,
              isOneLine: true,
            },
          ]}
          rows={rows}
          keyOf={({ post }) => post}
        />
      </div>
    </Sheet>
  );
}

/** Who stood where, and why the work stood still. */
export function WhoWasWhere({ facts, until }: DayShown) {
  const show = useShow();
  const stretches = stretchesOf(facts, until);
  const pauses = pausesOf(facts, until);
  const reasonOf = (from: number) =>
    facts.find(({ kind, at }) => kind === "pause" && at === from)?.note ?? "";
  if (stretches.length === 0 && pauses.length === 0) return null;
  return (
    <Sheet heading="Positions and pauses">
      <ul className="grid gap-1 py-1">
        {stretches.map(({ person, place, from, to }) => (
          <li key={`${person}${from}`}>
            {person}: {positionWords(place as Position)}, {show.time(from)} to {show.time(to)}
          </li>
        ))}
        {pauses.map(({ from, to }) => (
          <li key={from}>
            Pause, {show.time(from)} to {show.time(to)}
            {reasonOf(from) !== "" && `: ${reasonOf(from)}`}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** What was forecast at each hour, beside how it came. */
export function ForecastByHour({
  forecasts,
  lastBirdAt,
}: {
  /** Undefined while they are still being worked out. */
  forecasts: readonly ForecastAt[] | undefined;
  /** Undefined while birds are still to come. */
  lastBirdAt: number | undefined;
}) {
  useAskingAgain(forecasts === undefined);
  if (forecasts?.length === 0) return null;
  if (!forecasts)
    return (
      <Sheet heading="Forecast by hour">
        <p className="py-1" role="status">
          What the forecast said at each hour is being worked out. It takes a few seconds, then it stands
          here.
        </p>
      </Sheet>
    );
  return <ForecastTable forecasts={forecasts} lastBirdAt={lastBirdAt} />;
}

function ForecastTable({
  forecasts,
  lastBirdAt,
}: {
  forecasts: readonly ForecastAt[];
  lastBirdAt: number | undefined;
}) {
  const show = useShow();
  return (
    <Sheet
      heading="Forecast by hour"
      beside={lastBirdAt === undefined ? undefined : `last bird in the chill ${show.time(lastBirdAt)}`}
    >
      <div className="py-1">
        <DataTable
          caption="Last bird in the chill, as it looked at each hour"
          columns={[
            { head: "At", cell: ({ at }) => show.time(at), isOneLine: true },
            {
              head: "Likely",
              cell: ({ chance }) => (chance ? show.time(chance.likelyAt) : "no one left for the work"),
              isNumber: true,
              isOneLine: true,
            },
            {
              head: "9 in 10 by",
              cell: ({ chance }) => chance && show.time(chance.nineInTenAt),
              isNumber: true,
              isOneLine: true,
            },
            ...(lastBirdAt === undefined
              ? []
              : [
                  {
                    head: "Off by",
                    cell: ({ chance }: ForecastAt) =>
                      chance && show.minutes(Math.round(Math.abs(lastBirdAt - chance.likelyAt) / MINUTE)),
                    isNumber: true,
                    isOneLine: true,
                  },
                ]),
          ]}
          rows={forecasts}
          keyOf={({ at }) => String(at)}
        />
      </div>
    </Sheet>
  );
}

const ASK_AGAIN_MILLISECONDS = 1500;

/** Reads the page anew until nothing is missing from it. */
function useAskingAgain(isMissing: boolean): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (!isMissing) return;
    const timer = setInterval(() => void revalidate(), ASK_AGAIN_MILLISECONDS);
    return () => clearInterval(timer);
  }, [isMissing, revalidate]);
}
