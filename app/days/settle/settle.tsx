import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { Close } from "#app/days/settle/close-day.tsx";
import { CostTable } from "#app/days/settle/cost-table.tsx";
import { likelyUse } from "#app/days/settle/likely-use.server.ts";
import { settleForm } from "#app/days/settle/settle-form.ts";
import { DayCosts, Export, Kept, StillAlive, Yield } from "#app/days/settle/settle-sheets.tsx";
import { settlementOf } from "#app/server/day/settlement-of.server.ts";
import { usedOn } from "#app/server/day/supplies.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { ButtonLink, EmptyPlace, Page } from "#app/ui/sheet.tsx";
import { showFor } from "#app/words/show.ts";
import { kilogramsFromMilligrams } from "#core/quantity/conversion.ts";
import type { Route } from "./+types/settle.ts";

export const meta = () => [{ title: "Settle · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, batch } = requireDay(here, params.dayId);
  return {
    day,
    batch,
    unitSystem: farm.unitSystem,
    costs: here.file.settling.costs(day.id),
    kept: here.file.keptPlan(day.id),
    likelyUse: day.settledEntryId ? [] : likelyUse(here, farm, batch, day),
    used: usedOn(here, day.id),
    hasKit: here.file.kit().length > 0,
    entryId: newEntryId(),
    ...settlementOf(here, farm, batch, day),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day, batch } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, settleForm(farm.unitSystem, here.file.supplying.supplies()));
  if (!sent.ok) return sent.refusal;
  const { workHours, liveMean, used } = sent.value;
  const dressed = settlementOf(here, farm, batch, day).settlement?.dressedMean;
  if (liveMean !== undefined && dressed && kilogramsFromMilligrams(liveMean) <= dressed.value) {
    const words = showFor(farm).value(dressed.value, "carcass-kg");
    return sent.refuse({
      liveMean: `They dressed at ${words} each, so they weighed more than that alive. Check the weight, or leave it blank`,
    });
  }
  const outcome = here.file.settling.settle(
    sent.entry,
    day.id,
    {
      workMinutes: workHours === undefined ? undefined : Math.round(workHours * 60),
      liveMeanMilligrams: liveMean,
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

export default function Settle({ loaderData, actionData }: Route.ComponentProps) {
  const { day, batch, settlement } = loaderData;
  const head = (
    <DayHead
      dayId={day.id}
      processedOn={day.processedOn}
      line={`${batch.name}${day.settledEntryId ? " · settled" : ""}`}
    />
  );
  if (!settlement) {
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
          <CostTable settlement={settlement} hasKit={loaderData.hasKit} />
          <StillAlive {...loaderData} />
          <Close {...loaderData} refusal={actionData} />
          <Kept {...loaderData} />
          <Export dayId={day.id} />
        </div>
        <div className="grid content-start gap-5">
          <Yield {...loaderData} settlement={settlement} />
          <DayCosts {...loaderData} />
        </div>
      </div>
    </Page>
  );
}
