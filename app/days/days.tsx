import { Link } from "react-router";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { mapInSlices } from "#app/server/pooled/slices.server.ts";
import { ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/days.ts";

export const meta = () => [{ title: "Days · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const file = here.file;
  const rows = mapInSlices(file, "days", file.days(), (day) => {
    // A line is played only for days to come: there may be hundreds behind.
    const plan = day.settledEntryId ? undefined : planOf(here, farm, day).plan;
    const { state, done, lastBirdAt } = progressOf(here, day);
    return {
      day,
      birds: lotsInWords(lotsOfDay(here, day)),
      state,
      done,
      lastBirdAt,
      packed: file.pack.carcassCount(day.id),
      planned: plan && {
        feedOffAt: Math.min(...plan.lots.map(({ withdrawal }) => withdrawal.feedOffAt.value)),
        likelyAt: plan.line.likelyAt.value,
        iceBags: plan.chill.bags.value,
      },
    };
  });
  return {
    hasBatches: file.batches().length > 0,
    open: rows.filter(({ day }) => !day.settledEntryId),
    settled: rows.filter(({ day }) => day.settledEntryId).toReversed(),
  };
}

export default function Days({ loaderData: { open, settled, hasBatches } }: Route.ComponentProps) {
  const isEmpty = open.length + settled.length === 0;
  return (
    <Page>
      <PageHead title="Days" line="from plan to results">
        {!isEmpty && <ButtonLink to="/days/new">Schedule a day</ButtonLink>}
      </PageHead>
      {isEmpty && (
        <EmptyPlace
          heading="No days scheduled yet"
          action={
            hasBatches ? (
              <ButtonLink to="/days/new">Set the first day</ButtonLink>
            ) : (
              <ButtonLink to="/batches/new">Add a batch first</ButtonLink>
            )
          }
        >
          <p>
            Enter a date, a start time, and who is coming. You will see when to pull the feed, when to light
            the burner, how much ice to buy, and when you will be done.
          </p>
        </EmptyPlace>
      )}
      {open.length > 0 && <DayTable heading="Upcoming" rows={open} />}
      {settled.length > 0 && <DayTable heading="Settled" rows={settled} />}
    </Page>
  );
}

type Row = Route.ComponentProps["loaderData"]["open"][number];

function DayTable({ heading, rows }: { heading: string; rows: readonly Row[] }) {
  const show = useShow();
  return (
    <Sheet heading={heading}>
      <ul>
        {rows.map((row) => (
          <li key={row.day.id} className="border-b border-rule last:border-b-0">
            <Link
              to={`/days/${row.day.id}`}
              className="grid gap-x-6 gap-y-1 py-3 sm:grid-cols-3 sm:items-baseline"
            >
              <span className="font-display text-xl underline decoration-rule underline-offset-4">
                {show.longDay(row.day.processedOn)}
              </span>
              <span>{row.birds}</span>
              <span className="text-soft">{whereItStands(row, show)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function whereItStands(
  { day, state, done, packed, planned, lastBirdAt }: Row,
  show: ReturnType<typeof useShow>,
): string {
  if (day.settledEntryId)
    return `${packed} weighed${lastBirdAt ? `, last bird chilled at ${show.time(lastBirdAt)}` : ""}`;
  if (packed > 0) return `${packed} weighed so far`;
  if (state === "not-started")
    return planned
      ? `feed off ${show.dayTime(planned.feedOffAt)}, likely done ${show.time(planned.likelyAt)}, ${plural(planned.iceBags, "bag")} of ice`
      : "";
  return state === "finished" ? `${done} resting` : `${done} in the chill`;
}
