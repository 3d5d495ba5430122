import { Link, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { BATCH_TWICE, type DayFormSetting, dayForm, lotField } from "#app/days/plan/choices/day-form.ts";
import { daySetting, ownersToChoose } from "#app/days/plan/choices/day-setting.server.ts";
import { tooManyBirds } from "#app/days/plan/choices/lot-form.ts";
import { ADD_LOT, lotsAfter } from "#app/days/plan/choices/lot-moves.ts";
import { planForOthers } from "#app/days/plan/choices/plan-for-others.server.ts";
import { makeFirstPlan } from "#app/days/plan/make-first-plan.server.ts";
import { PlanNav } from "#app/days/plan/plan-nav.tsx";
import { PlanNotes, TwoDaysOrOne } from "#app/days/plan/plan-notes.tsx";
import { PlanPage } from "#app/days/plan/plan-page.tsx";
import { aroundDay } from "#app/server/day/around-day.server.ts";
import { iceBagsLeft } from "#app/server/day/ice-left.server.ts";
import { otherClock } from "#app/server/day/other-clock.server.ts";
import { basisOfDay, planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { lotsOfDay, requireDay } from "#app/server/farm/required.server.ts";
import { readWithPool } from "#app/server/pooled/pooled.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { OtherClock } from "#app/ui/other-clock.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import type { LotChoices } from "#core/day/plan/plan-input.ts";
import type { ProcessingDay, SaveRefusal } from "#db/day/day-queries.server.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/plan.ts";

export const meta = () => [{ title: "Plan · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const { searchParams } = new URL(request.url);
  const batches = lots.map(({ batch }) => batch);
  const basis = basisOfDay(here, farm, day, iceBagsLeft(here, farm, day));
  makeFirstPlan(basis, day);
  return {
    day,
    lots: lots.map(({ birds, batchName }) => ({ birds, batchName })),
    wasSaved: Number(searchParams.get("saved")) === day.revision,
    removed: removedLot(here, day.id, searchParams),
    sameDate: here.file
      .openDays()
      .filter(({ id, processedOn }) => id !== day.id && processedOn === day.processedOn)
      .map((other) => ({ id: other.id, startAt: other.startAt, birds: lotsInWords(lotsOfDay(here, other)) })),
    joinedId: Number(searchParams.get("joined")) || undefined,
    setting: daySetting(here, farm, batches, { dayId: day.id, timeZone: day.timeZone }),
    owners: ownersToChoose(here, day.lots),
    basis,
    around: aroundDay(here, farm, batches, { processedOn: day.processedOn, dayId: day.id }),
    entryId: newEntryId(),
    kept: here.file.keptPlan(day.id),
    otherClock: otherClock([day], farm),
    progress: progressOf(here, day),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const batches = lots.map(({ batch }) => batch);
  const setting = daySetting(here, farm, batches, { dayId: day.id, timeZone: day.timeZone });
  const seenRevision = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(here, request, dayForm(setting));
  if (!sent.ok) return sent.refusal;
  const { move, ...choices } = sent.value;
  const after = lotsAfter(choices.lots, move);
  const taken =
    after.removed &&
    (await feedOfRemoved({ here, signal: request.signal }, farm, day, after.removed.batchId));
  const outcome = here.file.changeDay(
    day.id,
    { seenRevision, timeZone: day.timeZone, at: here.now() },
    { ...choices, lots: after.lots },
  );
  if (outcome === "saved") {
    if (move === ADD_LOT) return redirect(`/days/${day.id}/lots/new`, 303);
    if (after.left) return redirect(planForOthers(here, after.left, choices.processedOn), 303);
    const said = new URLSearchParams({ saved: String(seenRevision + 1), ...taken });
    return redirect(`/days/${day.id}/plan?${said}`, 303);
  }
  return sent.refuse(faultsOfSave(outcome, setting, choices.lots));
}

/** Why a plan was not saved, each reason where it belongs. */
function faultsOfSave(
  outcome: SaveRefusal,
  setting: DayFormSetting,
  lots: readonly LotChoices[],
): Record<string, string> {
  switch (outcome) {
    case "changed-meanwhile":
      return {
        "": "This plan was changed in another window or by someone else. What you entered is still here; save again to replace the other changes",
      };
    case "day-settled":
      return { "": "This day is settled and locked. Reopen it under Settle to change its plan" };
    case "batch-twice":
      return { "": BATCH_TWICE };
    case "lot-has-birds":
      return { "": "Birds of that lot are weighed already. Remove their weights under Pack first" };
    case "more-than-alive":
      return Object.fromEntries(
        lots.flatMap(({ batchId, birds }, index) => {
          const free = setting.lots.find((lot) => lot.batchId === batchId)?.freeCount ?? 0;
          return birds > free ? [[lotField(index, "birdCount"), tooManyBirds(free)]] : [];
        }),
      );
  }
}

/** What the page says after a lot was taken off: which, and whether its feed was pulled by then. */
async function feedOfRemoved(
  { here, signal }: { readonly here: FarmContext; readonly signal: AbortSignal },
  farm: Farm,
  day: ProcessingDay,
  batchId: number,
) {
  const lot = day.lots.find((one) => one.batchId === batchId);
  const { plan } = await readWithPool(signal, () => planOf(here, farm, day));
  const feedOffAt = plan.lots.find(({ choices }) => choices.batchId === batchId)?.withdrawal.feedOffAt.value;
  if (!lot || feedOffAt === undefined) return undefined;
  return { removed: String(lot.id), ...(feedOffAt < here.now() && { unfed: String(Math.round(feedOffAt)) }) };
}

function removedLot(here: FarmContext, dayId: number, asked: URLSearchParams) {
  const lot = here.file.removedLot(dayId, Number(asked.get("removed")));
  if (!lot) return undefined;
  const feedOffAt = Number(asked.get("unfed")) || undefined;
  return { lotId: lot.id, batchName: here.file.batch(lot.batchId)?.name ?? "", birds: lot.birds, feedOffAt };
}

export default function Plan({ loaderData, actionData }: Route.ComponentProps) {
  const { day, lots, owners, basis, around, setting, entryId } = loaderData;
  return (
    <PlanPage
      key={day.revision}
      head={
        <>
          <DayHead dayId={day.id} processedOn={day.processedOn} line={lotsInWords(lots)} />
          <PlanNav dayId={day.id} />
          <OtherClock days={loaderData.otherClock} />
          <TwoDaysOrOne {...loaderData} />
        </>
      }
      basis={basis}
      around={around}
      setting={setting}
      current={day}
      refusal={actionData}
      action={`/days/${day.id}/plan?seen=${day.revision}`}
      entryId={entryId}
      owners={owners}
      isKept
      submit="Save plan"
      foot={
        <p className="print:hidden">
          <Link to={`/days/${day.id}/call-off`} className="inline-flex min-h-12 items-center underline">
            Call off or delete this day
          </Link>
        </p>
      }
    >
      <PlanNotes {...loaderData} />
    </PlanPage>
  );
}
