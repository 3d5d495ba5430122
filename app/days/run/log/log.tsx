import { DayHead } from "#app/days/leaves.tsx";
import { forecastsSoon } from "#app/days/run/log/forecasts-of.server.ts";
import { tappedBy } from "#app/days/run/log/log-rows.ts";
import { Chill, Marks, Pictures } from "#app/days/run/log/log-sheets.tsx";
import { ForecastByHour, WhereTimeWent, WhoWasWhere } from "#app/days/run/log/where-time-went.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { DataTable } from "#app/ui/data-table.tsx";
import { ButtonLink, EmptyPlace, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { FACT_WORDS } from "#app/words/run-words.ts";
import { plural } from "#app/words/show.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { feedOffOf } from "#core/day/run/feed-off-of.ts";
import { runProgress } from "#core/day/run/run-progress.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import type { Route } from "./+types/log.ts";

/** A day that nobody finished is looked at for so long. */
const DAY_HOURS = 16 * HOUR;

export const meta = () => [{ title: "Log of the day · Pale Morning" }];

export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const facts = here.file.run.facts(day.id);
  const kept = here.file.keptPlan(day.id);
  const { startedAt, firstBirdAt, lastBirdAt, finishedAt, done, pausedMinutes } = runProgress(
    facts,
    birdsOf(day),
    here.now(),
  );
  const until =
    finishedAt ?? (startedAt === undefined ? here.now() : Math.min(here.now(), startedAt + DAY_HOURS));
  return {
    until,
    forecasts:
      startedAt === undefined
        ? []
        : await forecastsSoon(here, farm, day, { from: startedAt, to: lastBirdAt ?? until }),
    dayId: day.id,
    processedOn: day.processedOn,
    line: `${plural(done, "bird")} of ${batchesInWords(lots)}`,
    facts,
    pictures: here.file.picturing.pictures(day.id),
    times: { startedAt, firstBirdAt, lastBirdAt, finishedAt, pausedMinutes },
    planned: kept && { startAt: kept.startAt, likelyAt: kept.likelyAt },
    feedOff: lots.map(({ id, batchName, pens }) => ({
      batchName,
      pens,
      plannedAt: kept?.lots.find(({ lotId }) => lotId === id)?.feedOffAt,
    })),
  };
}

/** What was tapped of a day, in order, to be read afterwards and kept in a binder. */
export default function Log({ loaderData }: Route.ComponentProps) {
  const { dayId, processedOn, line, facts, pictures, until, forecasts, times } = loaderData;
  return (
    <Page>
      <DayHead dayId={dayId} processedOn={processedOn} line={line} />
      {facts.length === 0 ? (
        <EmptyPlace
          heading="Nothing tapped yet"
          action={<ButtonLink to={`/days/${dayId}/run`}>Go to the run</ButtonLink>}
        >
          <p>Feed-off times, ice, temperatures, marks, and counts come here as phones tap them on the day.</p>
          <p>Print it for your binder, or take it along as CSV.</p>
        </EmptyPlace>
      ) : (
        <div className="grid gap-4 lg:grid-cols-2 lg:items-start">
          <Times {...loaderData} />
          <WhereTimeWent facts={facts} />
          <WhoWasWhere facts={facts} until={until} />
          <ForecastByHour
            forecasts={forecasts}
            lastBirdAt={times.finishedAt === undefined ? undefined : times.lastBirdAt}
          />
          <Chill facts={facts} />
          <Marks facts={facts} />
          <Pictures dayId={dayId} facts={facts} pictures={pictures} />
          <Who facts={facts} />
          <Everything dayId={dayId} facts={facts} />
        </div>
      )}
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];
type WithFacts = Pick<Loaded, "facts">;

/** When things happened, beside when they were planned. */
function Times({ times, planned, feedOff, facts }: Loaded) {
  const show = useShow();
  const at = (instant: number | undefined) => (instant === undefined ? "—" : show.dayTime(instant));
  const rows = [
    ...feedOff.map(({ plannedAt, ...lot }) => ({
      what: `Feed off, ${lot.batchName}`,
      planned: at(plannedAt),
      real: at(feedOffOf(facts, lot)),
    })),
    { what: "First bird", planned: at(planned?.startAt), real: at(times.startedAt) },
    { what: "First bird in the chill", planned: "—", real: at(times.firstBirdAt) },
    {
      what: times.finishedAt === undefined ? "Last bird in the chill so far" : "Last bird in the chill",
      planned: at(planned?.likelyAt),
      real: at(times.lastBirdAt),
    },
    { what: "Finished", planned: "—", real: at(times.finishedAt) },
    { what: "Pauses", planned: "—", real: show.minutes(Math.round(times.pausedMinutes)) },
  ];
  return (
    <Sheet heading="Hours">
      <div className="py-1">
        <DataTable
          caption="Hours, planned and as they were"
          columns={[
            { head: "What", cell: ({ what }) => what },
            { head: "Planned", cell: (row) => row.planned, isNumber: true, isOneLine: true },
            { head: "On the day", cell: ({ real }) => real, isNumber: true, isOneLine: true },
          ]}
          rows={rows}
          keyOf={({ what }) => what}
        />
      </div>
    </Sheet>
  );
}

/** What each person's phone tapped, and how long from its first to its last. */
function Who({ facts }: WithFacts) {
  const show = useShow();
  const rows = tappedBy(facts);
  return (
    <Sheet heading="By person">
      <div className="py-1">
        <DataTable
          caption="Birds that each person tapped"
          columns={[
            { head: "Who", cell: ({ person }) => (person === "" ? "no one named" : person) },
            { head: "What", cell: ({ what }) => what },
            { head: "Birds", cell: ({ birds }) => birds, isNumber: true },
            {
              head: "Minutes a bird",
              cell: ({ birds, from, to }) =>
                birds > 1 ? show.decimal((to - from) / MINUTE / (birds - 1), 1) : "",
              isNumber: true,
            },
          ]}
          rows={rows}
          keyOf={({ person, what }) => `${person} ${what}`}
        />
      </div>
    </Sheet>
  );
}

/** A page with more taps than this would be slow on a phone. */
const MOST_LISTED = 500;

function Everything({ dayId, facts }: WithFacts & { dayId: number }) {
  const show = useShow();
  const listed = facts.slice(-MOST_LISTED);
  return (
    <Sheet
      heading="Everything"
      beside={
        <a href={`/days/${dayId}/log.csv`} className="lone-link">
          As CSV
        </a>
      }
      className="lg:col-span-2"
    >
      <details>
        <summary className="lone-link">
          {listed.length === facts.length
            ? `All ${facts.length} taps, in order`
            : `The last ${listed.length} of ${facts.length} taps, in order; all of them are in the CSV`}
        </summary>
        <ol className="pt-2">
          {listed.map((fact) => (
            <li key={fact.entryId} className="flex gap-4">
              <span className="font-mono">{show.dayTime(fact.at)}</span>
              <span>
                {FACT_WORDS[fact.kind](fact)}
                {fact.celsius !== undefined && ` ${show.temperature(fact.celsius)}`}
                {fact.person !== "" && fact.kind !== "stands" && ` · ${fact.person}`}
              </span>
            </li>
          ))}
        </ol>
      </details>
    </Sheet>
  );
}
