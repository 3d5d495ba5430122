import { Link } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { askedList, isAsked } from "#app/ui/list/asked-list.ts";
import { ListFilter } from "#app/ui/list/list-filter.tsx";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { KIND_OPTIONS, KIND_WORDS } from "#app/words/words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";
import type { Batch } from "#db/batch/batch-queries.server.ts";
import type { Route } from "./+types/batches.ts";

export const meta = () => [{ title: "Batches · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const today = localDayOf(here.now(), farm.timeZone);
  const days = here.file.openDays();
  const batches = here.file.batches();
  const growing = (batch: Batch) => {
    const story = here.file.story(batch.id);
    const forecast = flockOn(today, flockOf(here, farm, batch, story));
    return {
      batch,
      ageDays: forecast.ageDays,
      liveKg: forecast.live.value,
      dressedKg: forecast.dressed.value,
      nextDay: days.find(({ lots }) => lots.some(({ batchId }) => batchId === batch.id))?.processedOn,
      weighed: story.weighings.length,
    };
  };
  const unread = { ageDays: 0, liveKg: 0, dressedKg: 0, nextDay: undefined, weighed: 0 };
  const isGone = ({ aliveCount }: Batch) => aliveCount <= 0;
  const asked = askedList(
    request,
    batches.filter(isGone).map(({ hatchedOn }) => hatchedOn),
  );
  const kind = new URL(request.url).searchParams.get("kind") ?? "";
  const isOfKind = (batch: Batch) => kind === "" || batch.kind === kind;
  const isFound = (batch: Batch) => asked.find === "" || isAsked(asked, batch.hatchedOn, batch.name);
  return {
    asked,
    isEmpty: batches.length === 0,
    // Those that still stand are in every year.
    alive: batches.filter((batch) => !isGone(batch) && isOfKind(batch) && isFound(batch)).map(growing),
    gone: batches
      .filter((batch) => isGone(batch) && isOfKind(batch) && isAsked(asked, batch.hatchedOn, batch.name))
      .map((batch) => ({ batch, ...unread }))
      .toReversed(),
  };
}

export default function Batches({ loaderData: { alive, gone, asked, isEmpty } }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Batches" line="birds from one hatch, raised together">
        {!isEmpty && (
          <div className="flex flex-wrap gap-2">
            <ButtonLink kind="plain" to="/season/chicks">
              How many chicks?
            </ButtonLink>
            <ButtonLink kind="plain" to="/freezers/year">
              Through the year
            </ButtonLink>
            <ButtonLink to="/batches/new">Add a batch</ButtonLink>
          </div>
        )}
      </PageHead>
      {isEmpty && (
        <EmptyPlace
          heading="Start with the chicks"
          action={<ButtonLink to="/batches/new">Add the first batch</ButtonLink>}
        >
          <p>A batch is birds from one hatch. Enter how many arrived and when they hatched.</p>
          <p>
            You can then see what they should weigh on any date, and every bag of feed and every loss counts
            toward the cost per bird.
          </p>
        </EmptyPlace>
      )}
      {alive.length > 0 && <BatchTable heading="Growing" rows={alive} isGrowing />}
      {!isEmpty && (
        <ListFilter
          asked={asked}
          label="Find a batch"
          hint="Its name, or a hatch date such as 2026-04"
          choice={{ name: "kind", label: "Kind", options: KINDS }}
        />
      )}
      {!isEmpty && alive.length + gone.length === 0 && (
        <p>No batch matches. Try fewer letters, or show all.</p>
      )}
      {gone.length > 0 && (
        <BatchTable heading={asked.year ? `Finished, hatched in ${asked.year}` : "Finished"} rows={gone} />
      )}
    </Page>
  );
}

const KINDS = [{ value: "", label: "All kinds" }, ...KIND_OPTIONS];

type Row = Route.ComponentProps["loaderData"]["alive"][number];

interface BatchTableProps {
  heading: string;
  rows: readonly Row[];
  isGrowing?: boolean;
}

function BatchTable({ heading, rows, isGrowing = false }: BatchTableProps) {
  return (
    <Sheet heading={heading} beside={isGrowing ? "expected weights today" : undefined}>
      <ul>
        {rows.map((row) => (
          <li key={row.batch.id} className="border-b border-rule last:border-b-0">
            <Link
              to={`/batches/${row.batch.id}`}
              className="grid gap-x-6 gap-y-1 py-3 sm:grid-cols-4 sm:items-baseline"
            >
              <span>
                <span className="font-display text-xl underline decoration-rule underline-offset-4">
                  {row.batch.name}
                </span>
                <span className="block text-sm text-soft">{KIND_WORDS[row.batch.kind]}</span>
              </span>
              <Count batch={row.batch} isGrowing={isGrowing} />
              {isGrowing && <Growing row={row} />}
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** How many birds there are, or are to come, and how many were lost. */
function Count({ batch, isGrowing }: { batch: Batch; isGrowing: boolean }) {
  const show = useShow();
  const { awaitedOn, aliveCount, arrivedCount, lostCount } = batch;
  const alive =
    awaitedOn === undefined
      ? `${plural(aliveCount, "bird")} alive`
      : `${plural(aliveCount, "chick")} on order`;
  const lost = lostCount > 0 ? `${lostCount} lost` : "no losses";
  return (
    <span>
      {isGrowing ? alive : `${plural(arrivedCount, "bird")} arrived`}
      <span className="block text-sm text-soft">
        {awaitedOn === undefined ? lost : `due ${show.shortDay(awaitedOn)}`}
      </span>
    </span>
  );
}

function Growing({ row: { ageDays, liveKg, dressedKg, nextDay, weighed } }: { row: Row }) {
  const show = useShow();
  return (
    <>
      <span>
        {ageDays < 0 ? `hatching in ${plural(-ageDays, "day")}` : ageInWords(ageDays)}
        <span className="block text-sm text-soft">
          {nextDay ? `scheduled for ${show.shortDay(nextDay)}` : "not scheduled"}
        </span>
      </span>
      {ageDays >= 0 && (
        <span>
          <span className={weighed > 0 ? "is-worked-out" : "is-default"}>
            {show.value(dressedKg, "carcass-kg")} dressed
          </span>
          <span className="block text-sm text-soft">{show.value(liveKg, "live-kg")} live</span>
        </span>
      )}
    </>
  );
}

function ageInWords(days: number): string {
  if (days < 14) return `${plural(days, "day")} old`;
  const rest = days % 7;
  return `${Math.floor(days / 7)} weeks${rest === 0 ? "" : ` and ${plural(rest, "day")}`} old`;
}
