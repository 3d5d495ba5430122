import { Form, Link } from "react-router";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay } from "#app/server/farm/required.server.ts";
import { mapInSlices } from "#app/server/pooled/slices.server.ts";
import { askedList, isAsked } from "#app/ui/list/asked-list.ts";
import { ListFilter } from "#app/ui/list/list-filter.tsx";
import { Button, ButtonLink, EmptyPlace, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { useMayOpen } from "#app/ui/visitor/role.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import type { CalledOffDay } from "#db/day/call-off-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Route } from "./+types/days.ts";

export const meta = () => [{ title: "Days · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const file = here.file;
  const days = file.days();
  const { searchParams } = new URL(request.url);
  const today = localDayOf(here.now(), farm.timeZone);
  const asked = askedList(
    request,
    days.map(({ processedOn }) => processedOn),
  );
  // What is to be done stands on every page of the list, whatever its year.
  const isShown = (day: ProcessingDay) =>
    (asked.find === "" && !day.settledEntryId) ||
    isAsked(asked, day.processedOn, lotsInWords(lotsOfDay(here, day)));
  const rows = mapInSlices(file, "days", days.filter(isShown), (day) => {
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
  const which = searchParams.get("which") ?? "";
  const open = which === "settled" || which === "off" ? [] : rows.filter(({ day }) => !day.settledEntryId);
  const off = here.file.calledOffDay(Number(new URL(request.url).searchParams.get("off")));
  return {
    justOff: off && { ...off, birds: lotsInWords(namedLots(here, off)) },
    calledOff: file
      .calledOffDays()
      .map((day) => ({ ...day, birds: lotsInWords(namedLots(here, day)) }))
      .filter(
        ({ processedOn, birds, reason }) =>
          (which === "" || which === "off") && isAsked(asked, processedOn, `${birds} ${reason}`),
      ),
    hasBatches: file.batches().length > 0,
    asked,
    // The next one first; a day that was never settled stands apart, so that it does not lead for years.
    upcoming: open.filter(({ day }) => day.processedOn >= today),
    unsettled: open.filter(({ day }) => day.processedOn < today).toReversed(),
    settled:
      which === "" || which === "settled" ? rows.filter(({ day }) => day.settledEntryId).toReversed() : [],
    isEmpty: days.length === 0,
  };
}

const namedLots = ({ file }: FarmContext, { lots }: CalledOffDay) =>
  lots.map(({ batchId, birds }) => ({ birds, batchName: file.batch(batchId)?.name ?? "" }));

export default function Days({ loaderData }: Route.ComponentProps) {
  const { upcoming, unsettled, settled, hasBatches, justOff, calledOff, asked, isEmpty } = loaderData;
  const shown = upcoming.length + unsettled.length + settled.length + calledOff.length;
  return (
    <Page>
      <PageHead title="Days" line="from plan to results">
        {!isEmpty && <ButtonLink to="/days/new">Schedule a day</ButtonLink>}
      </PageHead>
      {justOff && <JustOff day={justOff} />}
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
            Enter a date, a start time, and who is coming. You will see when to pull the feed, when to turn
            the heat on, how much ice to buy, and when you will be done.
          </p>
        </EmptyPlace>
      )}
      {upcoming.length > 0 && <DayTable heading="Upcoming" rows={upcoming} />}
      {unsettled.length > 0 && <DayTable heading="Not settled yet" rows={unsettled} />}
      {!isEmpty && (
        <ListFilter
          asked={asked}
          label="Find a day"
          hint="A batch, or a date such as 2026-09"
          choice={{ name: "which", label: "Which", options: WHICH }}
        />
      )}
      {!isEmpty && shown === 0 && <p>No day matches. Try fewer letters, or show all.</p>}
      {settled.length > 0 && (
        <DayTable heading={asked.year ? `Settled in ${asked.year}` : "Settled"} rows={settled} hasYear />
      )}
      {calledOff.length > 0 && <CalledOff days={calledOff} />}
    </Page>
  );
}

type Off = Route.ComponentProps["loaderData"]["calledOff"][number];

/** A day that was just called off or deleted, and the way back. */
function JustOff({ day }: { day: Off }) {
  const show = useShow();
  return (
    <Notice tone="plain">
      <p role="status" className="pb-2">
        {show.longDay(day.processedOn)} {day.reason === "" ? "was deleted" : "is called off"}: {day.birds} are
        free again. If their feed was pulled, feed them now.
      </p>
      <PutBack dayId={day.dayId} words="Undo: put the day back" />
    </Notice>
  );
}

function CalledOff({ days }: { days: readonly Off[] }) {
  const show = useShow();
  return (
    <Sheet heading="Called off">
      <ul>
        {days.map((day) => (
          <li
            key={day.dayId}
            className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 border-b border-rule py-2 last:border-b-0"
          >
            <span>
              <span className="font-display text-xl">{show.longDay(day.processedOn)}</span>, {day.birds}:{" "}
              {day.reason}
            </span>
            <PutBack dayId={day.dayId} words="Put it back" />
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function PutBack({ dayId, words }: { dayId: number; words: string }) {
  const mayOpen = useMayOpen();
  const action = `/days/${dayId}/put-back`;
  if (!mayOpen(action)) return null;
  return (
    <Form method="post" action={action}>
      <Button kind="plain">{words}</Button>
    </Form>
  );
}

const WHICH = [
  { value: "", label: "All days" },
  { value: "open", label: "Not settled" },
  { value: "settled", label: "Settled" },
  { value: "off", label: "Called off" },
] as const;

type Row = Route.ComponentProps["loaderData"]["settled"][number];

function DayTable({
  heading,
  rows,
  hasYear = false,
}: {
  heading: string;
  rows: readonly Row[];
  hasYear?: boolean;
}) {
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
                {hasYear ? show.dayWithYear(row.day.processedOn) : show.longDay(row.day.processedOn)}
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
