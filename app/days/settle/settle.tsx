import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { AllLots } from "#app/days/settle/all-lots.tsx";
import { beforeSettling } from "#app/days/settle/before-settling.server.ts";
import { Close } from "#app/days/settle/close-day.tsx";
import { CostTable } from "#app/days/settle/cost-table.tsx";
import { likelyUse } from "#app/days/settle/likely-use.server.ts";
import { liveField, settleForm } from "#app/days/settle/settle-form.ts";
import { DayCosts, Export, Kept, StillAlive, Yield } from "#app/days/settle/settle-sheets.tsx";
import { type DaySettlement, settlementOf } from "#app/server/day/settlement-of.server.ts";
import { usedOn } from "#app/server/day/supplies.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { ownerNames } from "#app/server/farm/owners.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { ButtonLink, EmptyPlace, Page } from "#app/ui/sheet.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { type Show, showFor } from "#app/words/show.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Route } from "./+types/settle.ts";

export const meta = () => [{ title: "Settle · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return {
    day,
    names: batchesInWords(lots),
    owners: ownerNames(here, day),
    sharedBy: farm.dayCostSharedBy,
    unitSystem: farm.unitSystem,
    costs: here.file.settling.costs(day.id),
    kept: here.file.keptPlan(day.id),
    likelyUse: day.settledEntryId ? [] : likelyUse(here, farm, day),
    used: usedOn(here, day.id),
    // A day that was opened again is settled with what was typed before, until that is changed.
    lastTyped: day.settledEntryId ? undefined : here.file.settling.lastTyped(day.id),
    before: day.settledEntryId ? undefined : beforeSettling(here, day, lots),
    hasKit: here.file.kit().length > 0,
    entryId: newEntryId(),
    ...settlementOf(here, farm, day),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const sent = await submitted(
    here,
    request,
    settleForm(farm.unitSystem, here.file.supplying.supplies(), lots.length),
  );
  if (!sent.ok) return sent.refusal;
  const { workHours, packingHours, liveMeans, used, isSure } = sent.value;
  const tooLight = lighterThanDressed(settlementOf(here, farm, day), liveMeans, showFor(farm));
  if (tooLight) return sent.refuse(tooLight);
  const { unweighed, uncounted } = beforeSettling(here, day, lots);
  if (!isSure && unweighed.length + uncounted.length > 0)
    return sent.refuse({ isSure: "Do what is asked above first, or tick this to settle all the same" });
  const outcome = here.file.settling.settle(
    sent.entry,
    day.id,
    {
      workMinutes: minutesOf(workHours),
      packingMinutes: day.packsSameDay ? undefined : minutesOf(packingHours),
      live: lots.map(({ id: lotId }, index) => ({ lotId, liveMeanMilligrams: liveMeans[index] })),
    },
    // On the day itself: a count made since has seen it already.
    { movedOn: day.processedOn, used },
  );
  const faults = faultsOf(outcome, {
    "day-settled": { "": "This day is already settled. Reload the page to see it" },
    "nothing-packed": { "": "No birds have been weighed. Weigh them under Pack first" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/settle`, 303);
}

const minutesOf = (hours: number | undefined) => (hours === undefined ? undefined : Math.round(hours * 60));

/** No bird is heavier dressed than alive: what to say of lots that would be. */
function lighterThanDressed(
  { lots }: DaySettlement,
  liveMeans: readonly (number | undefined)[],
  show: Show,
): Record<string, string> | undefined {
  const faults = lots.flatMap(({ settlement }, index) => {
    const live = liveMeans[index];
    const dressed = settlement?.dressedMean.value;
    return live !== undefined && dressed !== undefined && kilogramsFromMilligrams(live) <= dressed
      ? [
          [
            liveField(index),
            `They dressed at ${show.value(dressed, "carcass-kg")} each, so they weighed more than that alive. Check the weight, or leave it blank`,
          ],
        ]
      : [];
  });
  return faults.length > 0 ? Object.fromEntries(faults) : undefined;
}

/** What each product cost, and the way to share the birds of a lot among those who raised them. */
function MoreOfDay({ day, lots }: Route.ComponentProps["loaderData"]) {
  const dressed = lots.filter(({ settlement }) => settlement);
  return (
    <p className="flex flex-wrap gap-3 print:hidden">
      <ButtonLink kind="plain" to={`/days/${day.id}/settle/products`}>
        Cost of each product
      </ButtonLink>
      {dressed.map(({ lotId, batch }) => (
        <ButtonLink key={lotId} kind="plain" to={`/orders/share/${day.id}/${lotId}`}>
          {dressed.length > 1 ? `Share ${batch.name} among households` : "Share the birds among households"}
        </ButtonLink>
      ))}
    </p>
  );
}

export default function Settle({ loaderData, actionData }: Route.ComponentProps) {
  const { day, lots, names } = loaderData;
  const head = (
    <DayHead
      dayId={day.id}
      processedOn={day.processedOn}
      line={`${names}${day.settledEntryId ? " · settled" : ""}`}
    />
  );
  const dressed = lots.filter(({ settlement }) => settlement);
  if (dressed.length === 0) {
    return (
      <Page>
        {head}
        <EmptyPlace
          heading="Nothing to settle yet"
          action={<ButtonLink to={`/days/${day.id}/pack`}>Weigh the birds</ButtonLink>}
        >
          <p>
            After the birds are weighed, this page shows yield and the cost per bird and per pound, counted
            three ways.
          </p>
        </EmptyPlace>
      </Page>
    );
  }
  return (
    <Page isWide>
      {head}
      <div className="grid gap-5 lg:grid-cols-3">
        <div className="grid content-start gap-5 lg:col-span-2">
          {lots.length > 1 && <AllLots {...loaderData} />}
          {dressed.map((lot) => (
            <CostTable key={lot.lotId} lot={lot} isOnly={lots.length === 1} hasKit={loaderData.hasKit} />
          ))}
          <StillAlive {...loaderData} />
          <Close {...loaderData} refusal={actionData} />
          <Kept {...loaderData} />
          <Export dayId={day.id} />
          <MoreOfDay {...loaderData} />
        </div>
        <div className="grid content-start gap-5">
          {dressed.map((lot) => (
            <Yield key={lot.lotId} lot={lot} isOnly={lots.length === 1} />
          ))}
          <DayCosts {...loaderData} />
        </div>
      </div>
    </Page>
  );
}
