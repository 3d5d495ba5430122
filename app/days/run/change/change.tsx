import { data, Form, Link, redirect } from "react-router";
import type { z } from "zod";
import { ChangeFields } from "#app/days/run/change/change-fields.tsx";
import { acceptForm, fieldsOf } from "#app/days/run/change/change-form.ts";
import { changeOf, changeReading } from "#app/days/run/change/change-reading.server.ts";
import { ChangeResult } from "#app/days/run/change/change-result.tsx";
import { changeInWords } from "#app/days/run/change/change-words.ts";
import { keptPlanOf } from "#app/days/run/kept-plan-of.server.ts";
import { liveDay } from "#app/days/run/live/live-days.server.ts";
import { useLight } from "#app/days/run/post/use-light.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields, newEntryId } from "#app/server/submitted.server.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { showFor } from "#app/words/show.ts";
import { instantOf, localClock } from "#core/calendar/farm-time.ts";
import { addDays, type LocalDay } from "#core/calendar/local-day.ts";
import { crewOf } from "#core/day/crew/crew.ts";
import { birdsAfter, changedChoices } from "#core/day/forecast/changed-choices.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { choicesOf, type SaidChange } from "#db/day/change-queries.server.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/change.ts";

export const meta = () => [{ title: "Something changed · Pale Morning" }];

export async function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  return {
    day: { id: day.id, processedOn: day.processedOn, revision: day.revision },
    isSettled: day.settledEntryId !== undefined,
    splitOn: addDays(day.processedOn, 1),
    lastChange: here.file.changing.lastChange(day.id),
    ...(await changeReading(here, farm, day, new URL(request.url).searchParams)),
    entryId: newEntryId(),
  };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const fields = fieldsOf(await formFields(request));
  // What was fine for the day as it stood then may be no number for it now: that it changed is the thing to say.
  const isStale = Number(fields.seen) !== day.revision && !here.file.knowsEntry(String(fields.entryId));
  if (isStale) return refused(REFUSALS["changed-meanwhile"]);
  const sent = acceptForm(birdsOf(day)).safeParse(fields);
  if (!sent.success)
    return refused(sent.error.issues[0]?.message ?? "This can't be read. Open the page again.");
  const { entryId } = sent.data;
  const at = here.now();
  const before = here.file.run.cursor(day.id);
  const isRepeat = here.file.knowsEntry(entryId);
  const read = isRepeat ? undefined : saidChange(here, farm, day, sent.data);
  if (read && "problem" in read) return refused(read.problem);
  const outcome = here.file.changing.change({ entryId, at }, day.id, sent.data, () => read!);
  if (!outcome.recorded) return refused(REFUSALS[outcome.reason]);
  liveDay(here, day.id).changed(before);
  return redirect(`/days/${day.id}/run`, 303);
}

/** What comes of a change that was sent, or why it can't be. */
function saidChange(
  here: FarmContext,
  farm: Farm,
  day: ProcessingDay,
  { seen, what, splitOn, ...changed }: z.output<ReturnType<typeof acceptForm>>,
): SaidChange | { readonly problem: string } {
  const helpers = here.file.people.people();
  const year = Number(day.processedOn.slice(0, 4));
  const change = changeOf(changed);
  const planned = choicesOf(day);
  const choices = changedChoices(planned, change, { helpers, year });
  if (!choices) return { problem: "Someone has to be there. Leave one person, or choose who comes instead." };
  const left = birdsAfter(day.lots, change.birds);
  const splits = what === "split" && left.length > 0;
  if (splits && (splitOn === undefined || splitOn <= day.processedOn))
    return { problem: "Enter a later day for the other birds." };
  const split = splits ? { ...planned, lots: left, ...startOn(day, splitOn!) } : undefined;
  const seats = crewOf(day.crew, day.people, { helpers, year }).map(({ name }) => name);
  const words = changeInWords(day, change, { seats, helpers, splitOn: split?.processedOn }, showFor(farm));
  if (words === "") return { problem: "Nothing was changed yet." };
  return {
    seenRevision: seen,
    words,
    kept: here.file.keptPlan(day.id) ?? keptPlanOf(here, farm, day, here.now()),
    choices: { ...choices, processedOn: day.processedOn },
    split,
  };
}

/** The same time of another day; an hour that the clocks jump over is the first after it. */
function startOn({ startAt, timeZone }: ProcessingDay, processedOn: LocalDay) {
  const clock = localClock(startAt, timeZone);
  const start = instantOf(processedOn, clock, timeZone);
  const next = start.exists ? start : instantOf(processedOn, start.next, timeZone);
  return { processedOn, startAt: next.exists ? next.at : startAt };
}

const refused = (problem: string) => data({ problem }, { status: 422 });

const REFUSALS = {
  "changed-meanwhile":
    "The day was changed in another window or by someone else. Look at it again, then retry.",
  "day-settled": "This day is settled. Reopen it before changing anything.",
  "entry-used": "This was sent already. Look at the day as it is now.",
  "more-than-alive": "There are fewer birds free than that.",
  "batch-twice": "A batch can't be on a day twice.",
  "lot-has-birds": "Birds of a lot that would go are weighed already. Keep more birds.",
} as const;

/** One sheet for a phone: what changed, and how the day would end, before anything is saved. */
export default function Change({ loaderData, actionData }: Route.ComponentProps) {
  const { day, isSettled, lastChange } = loaderData;
  const { light } = useLight();
  return (
    <div className="yard grid min-h-dvh content-start gap-4 p-4 md:p-6" data-light={light}>
      <header className="grid gap-1">
        <h1 className="text-3xl">Something changed</h1>
        <p className="yard-soft">
          Tell us what changed. Nothing is saved until you use the new plan, and the old one is kept.
        </p>
      </header>
      {actionData && (
        <p role="alert" className="yard-stop px-3 py-2">
          {actionData.problem}
        </p>
      )}
      {lastChange && <LastChange dayId={day.id} {...lastChange} />}
      {isSettled ? (
        <p>This day is settled. Reopen it before changing anything.</p>
      ) : (
        <div className="grid items-start gap-4 lg:grid-cols-2">
          <ChangeFields reading={loaderData} dayId={day.id} />
          <ChangeResult reading={loaderData} {...loaderData} />
        </div>
      )}
      <Link to={`/days/${day.id}/run`} className="yard-key yard-card grid place-content-center rounded-sheet">
        Back to the run
      </Link>
    </div>
  );
}

function LastChange({
  dayId,
  entryId,
  words,
  at,
}: {
  dayId: number;
  entryId: string;
  words: string;
  at: number;
}) {
  const show = useShow();
  return (
    <Form method="post" action={`/days/${dayId}/run/change/undo`} className="yard-note grid gap-2 p-3">
      <input type="hidden" name="entryId" value={entryId} />
      <p>
        <strong>Changed at {show.time(at)}.</strong> {words}
      </p>
      <button type="submit" className="yard-key yard-card rounded-sheet">
        Undo this change
      </button>
    </Form>
  );
}
