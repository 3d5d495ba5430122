import { redirect } from "react-router";
import { BATCH_TWICE, dayForm, lotField } from "#app/days/plan/choices/day-form.ts";
import { daySetting, ownersToChoose } from "#app/days/plan/choices/day-setting.server.ts";
import { tooManyBirds } from "#app/days/plan/choices/lot-form.ts";
import { ADD_LOT, lotsAfter } from "#app/days/plan/choices/lot-moves.ts";
import { planForOthers } from "#app/days/plan/choices/plan-for-others.server.ts";
import { proposedChoices } from "#app/days/plan/choices/proposed-choices.server.ts";
import { makeFirstPlan } from "#app/days/plan/make-first-plan.server.ts";
import { PlanPage } from "#app/days/plan/plan-page.tsx";
import { aroundDay } from "#app/server/day/around-day.server.ts";
import { iceBagsLeft } from "#app/server/day/ice-left.server.ts";
import { planBasis } from "#app/server/day/plan-of-day.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { requireBatch } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { ButtonLink, EmptyPlace, Page, PageHead } from "#app/ui/sheet.tsx";
import { plural } from "#app/words/show.ts";
import type { Farm } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/new-day.ts";

export const meta = () => [{ title: "New processing day · Pale Morning" }];

function asked(here: FarmContext, request: Request, farm: Farm) {
  const batch = requireBatch(here, new URL(request.url).searchParams.get("batch") ?? undefined);
  const setting = daySetting(here, farm, [batch], { dayId: 0, timeZone: farm.timeZone });
  return { batch, setting, freeCount: setting.lots[0]!.freeCount };
}

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { searchParams } = new URL(request.url);
  if (!searchParams.has("batch")) {
    const choices = here.file
      .batches()
      .map(({ id, name }) => ({ id, name, freeCount: here.file.freeForDay(id) }));
    return { chooseFrom: choices.filter(({ freeCount }) => freeCount > 0) };
  }
  const { batch, setting, freeCount } = asked(here, request, farm);
  if (freeCount <= 0) return { chooseFrom: [], noneFree: batch.name };
  const current = proposedChoices(here, farm, batch, freeCount, searchParams);
  const iceBags = iceBagsLeft(here, farm, { id: 0, startAt: current.startAt });
  const basis = planBasis(here, farm, { dayId: 0, batchIds: [batch.id] }, iceBags);
  makeFirstPlan(basis, current);
  return {
    chooseFrom: undefined,
    batch,
    freeCount,
    setting,
    owners: ownersToChoose(here),
    current,
    basis,
    around: aroundDay(here, farm, [batch], { processedOn: current.processedOn, dayId: 0 }),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { setting, freeCount } = asked(here, request, farm);
  const sent = await submitted(here, request, dayForm(setting));
  if (!sent.ok) return sent.refusal;
  const { move, ...choices } = sent.value;
  const after = lotsAfter(choices.lots, move);
  const outcome = here.file.addDay(sent.entry, farm.timeZone, { ...choices, lots: after.lots });
  const faults = faultsOf(outcome, {
    "more-than-alive": { [lotField(0, "birdCount")]: tooManyBirds(freeCount) },
    "batch-twice": { "": BATCH_TWICE },
  });
  if (faults) return sent.refuse(faults);
  if (after.left) return redirect(planForOthers(here, after.left, choices.processedOn), 303);
  const day = `/days/${here.file.dayOfEntry(sent.entry.entryId)}`;
  return redirect(move === ADD_LOT ? `${day}/lots/new` : `${day}/plan`, 303);
}

export default function NewDay({ loaderData, actionData }: Route.ComponentProps) {
  if (loaderData.chooseFrom) {
    return (
      <Page isWide>
        <PageHead title="Schedule a day" />
        <EmptyPlace
          heading={loaderData.chooseFrom.length > 0 ? "Which batch?" : "No birds available"}
          action={
            <div className="flex flex-wrap gap-2">
              {loaderData.chooseFrom.map(({ id, name, freeCount }) => (
                <ButtonLink key={id} to={`/days/new?batch=${id}`}>
                  {name}, {plural(freeCount, "bird")}
                </ButtonLink>
              ))}
              {loaderData.chooseFrom.length === 0 && <ButtonLink to="/batches">To the batches</ButtonLink>}
            </div>
          }
        >
          <p>
            {loaderData.chooseFrom.length > 0
              ? "Start with one batch. You can add birds of another to the same day."
              : `${loaderData.noneFree ? `Every bird in ${loaderData.noneFree}` : "Every bird"} is processed, lost, or already scheduled. Add a batch, or change a scheduled day.`}
          </p>
        </EmptyPlace>
      </Page>
    );
  }
  const { batch, freeCount, owners, setting, current, basis, around, entryId } = loaderData;
  return (
    <PlanPage
      head={
        <PageHead title="New processing day" line={`${batch.name}, ${plural(freeCount, "bird")} free`}>
          <ButtonLink kind="plain" to={`/days/new/from-file?batch=${batch.id}`}>
            Start from a plan file
          </ButtonLink>
        </PageHead>
      }
      basis={basis}
      around={around}
      setting={setting}
      current={current}
      refusal={actionData}
      entryId={entryId}
      owners={owners}
      submit="Schedule this day"
    />
  );
}
