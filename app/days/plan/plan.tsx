import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { dayForm, tooManyBirds } from "#app/days/plan/choices/day-form.ts";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { PlanPage } from "#app/days/plan/plan-page.tsx";
import { aroundDay } from "#app/server/day/around-day.server.ts";
import { iceBagsLeft } from "#app/server/day/ice-left.server.ts";
import { planBasis, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { Notice } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/plan.ts";

export const meta = () => [{ title: "Plan · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, batch } = requireDay(here, params.dayId);
  const saved = Number(new URL(request.url).searchParams.get("saved"));
  const setting = {
    timeZone: day.timeZone,
    hatchedOn: batch.hatchedOn,
    freeCount: here.file.freeForDay(batch.id, day.id),
  };
  return {
    day,
    wasSaved: saved === day.revision,
    batchName: batch.name,
    setting,
    basis: planBasis(here, farm, batch, day.id, iceBagsLeft(here, farm, day)),
    around: aroundDay(here, farm, batch, day.processedOn, day.id),
    entryId: newEntryId(),
    kept: here.file.keptPlan(day.id),
    progress: progressOf(here, day),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day, batch } = requireDay(here, params.dayId);
  const freeCount = here.file.freeForDay(batch.id, day.id);
  const seen = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(
    here,
    request,
    dayForm({ timeZone: day.timeZone, hatchedOn: batch.hatchedOn, freeCount }),
  );
  if (!sent.ok) return sent.refusal;
  const outcome = here.file.changeDay(day.id, seen, day.timeZone, sent.value);
  if (outcome === "saved") return redirect(`/days/${day.id}/plan?saved=${seen + 1}`, 303);
  const faults = {
    "changed-meanwhile": {
      "": "This plan was changed in another window or by someone else. What you entered is still here; save again to replace the other changes",
    },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle to change its plan" },
    "more-than-alive": { birdCount: tooManyBirds(freeCount) },
  };
  return sent.refuse(faults[outcome]);
}

export default function Plan({ loaderData, actionData }: Route.ComponentProps) {
  const { day, wasSaved, batchName, basis, around, setting, entryId, kept, progress } = loaderData;
  const show = useShow();
  const isOver = setting.freeCount < day.birds;
  return (
    <PlanPage
      key={day.revision}
      head={
        <>
          <DayHead
            dayId={day.id}
            processedOn={day.processedOn}
            line={`${plural(day.birds, "bird")} of ${batchName}`}
          />
          <PlanNav dayId={day.id} />
        </>
      }
      basis={basis}
      around={around}
      setting={setting}
      current={day}
      refusal={actionData}
      action={`/days/${day.id}/plan?seen=${day.revision}`}
      entryId={entryId}
      submit="Save plan"
    >
      {wasSaved && <p role="status">Plan saved.</p>}
      {isOver && (
        <Notice tone="stop">
          {day.birds} birds are planned and only {setting.freeCount} are left. Plan fewer birds.
        </Notice>
      )}
      {kept && (
        <Notice tone="plain">
          The plan when the day started: {plural(kept.birdCount, "bird")}, likely done by{" "}
          {show.time(kept.likelyAt)}, a whole day of {show.minutes(kept.wholeDayMinutes)}.
          {progress.lastBirdAt &&
            ` The last bird went into the chill tank at ${show.time(progress.lastBirdAt)}.`}
        </Notice>
      )}
    </PlanPage>
  );
}
