import { Form, Link } from "react-router";
import { Button, Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/plan.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** What there is to say above the choices: what was just saved or taken off, too many birds, and the plan at the start. */
export function PlanNotes({ day, lots, setting, wasSaved, removed, kept, progress }: Loaded) {
  const show = useShow();
  return (
    <>
      {wasSaved && <p role="status">Plan saved.</p>}
      {removed && <Removed dayId={day.id} {...removed} />}
      {setting.lots.map(
        ({ batchId, batchName, freeCount }, index) =>
          day.lots[index]!.birds > freeCount && (
            <Notice key={batchId} tone="stop">
              {day.lots[index]!.birds} birds{lots.length > 1 && ` of ${batchName}`} are planned and only{" "}
              {freeCount} are left. Plan fewer birds.
            </Notice>
          ),
      )}
      {kept && (
        <Notice tone="plain">
          The plan when the day started: {plural(kept.birdCount, "bird")}, likely done by{" "}
          {show.time(kept.likelyAt)}, a whole day of {show.minutes(kept.wholeDayMinutes)}.
          {progress.lastBirdAt &&
            ` The last bird went into the chill tank at ${show.time(progress.lastBirdAt)}.`}
        </Notice>
      )}
    </>
  );
}

/** Other days of the same date, and what to do about them. */
export function TwoDaysOrOne({ day, sameDate, joinedId }: Loaded) {
  return (
    <>
      {sameDate.map((other) => (
        <SameDate key={other.id} dayId={day.id} other={other} />
      ))}
      {joinedId !== undefined && <Joined dayId={day.id} joinedId={joinedId} />}
    </>
  );
}

/** Another day on the same date: one crew and one yard can't be at both. */
function SameDate({ dayId, other }: { dayId: number; other: Loaded["sameDate"][number] }) {
  const show = useShow();
  return (
    <Notice tone="stop">
      <Form method="post" action={`/days/${dayId}/join/${other.id}`} className="grid gap-2">
        <p>
          <b>There is another day on this date:</b> {other.birds}, from {show.time(other.startAt)}. Each is
          planned as if it had the crew, the bath, and the tanks to itself.
        </p>
        <div className="flex flex-wrap items-center gap-3">
          <Button>Make them one day</Button>
          <Link to={`/days/${other.id}/plan`} className="underline">
            Open the other day
          </Link>
        </div>
        <p className="text-sm">
          Its lots are then killed after these, its crew comes along, and its costs, notes, and finished tasks
          are kept.
        </p>
      </Form>
    </Notice>
  );
}

/** Two days were just made one: what came of it, and the way back. */
function Joined({ dayId, joinedId }: { dayId: number; joinedId: number }) {
  return (
    <Notice tone="plain">
      <Form method="post" action={`/days/${dayId}/split/${joinedId}`} className="grid gap-2">
        <p role="status">The two days are one. Check the order of the lots and who stands where.</p>
        <div>
          <Button kind="plain">Undo: make them two days again</Button>
        </div>
      </Form>
    </Notice>
  );
}

/** A lot that was just taken off: what its birds need now, and a way back. */
function Removed({
  dayId,
  lotId,
  batchName,
  birds,
  feedOffAt,
}: NonNullable<Loaded["removed"]> & { dayId: number }) {
  const show = useShow();
  return (
    <div role="status" className="grid gap-2 rounded-sheet border-l-4 border-straw bg-wheat px-4 py-2">
      <p>
        {plural(birds, "bird")} of {batchName} {birds === 1 ? "was" : "were"} taken off this day.{" "}
        {feedOffAt !== undefined &&
          `Their feed was to be pulled at ${show.dayTime(feedOffAt)}: if it was, feed them again now.`}
      </p>
      <div>
        <Button
          kind="plain"
          form={undefined}
          formAction={`/days/${dayId}/lots/${lotId}/restore`}
          formNoValidate
        >
          Undo: put them back
        </Button>
      </div>
    </div>
  );
}
