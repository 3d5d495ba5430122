import type { FieldMetadata } from "@conform-to/react";
import { Form, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { CostTable } from "#app/days/settle/cost-table.tsx";
import { likelyUse } from "#app/days/settle/likely-use.server.ts";
import { settleForm, usedField } from "#app/days/settle/settle-form.ts";
import { farmContext } from "#app/server/farm-context.server.ts";
import { requireDay } from "#app/server/required.server.ts";
import { settlementOf } from "#app/server/settlement-of.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { usedOn } from "#app/server/supplies.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural, showFor } from "#app/words/show.ts";
import { supplyAmount, supplyTyped } from "#app/words/supply-words.ts";
import { MOST_DRESSED_FRACTION } from "#core/carcass-yield/yield-constants.ts";
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
  if (liveMean !== null && dressed && kilogramsFromMilligrams(liveMean) <= dressed.value) {
    const words = showFor(farm).value(dressed.value, "carcass-kg");
    return sent.refuse({
      liveMean: `They dressed at ${words} each, so they weighed more than that alive. Check the weight, or leave it blank`,
    });
  }
  const outcome = here.file.settling.settle(
    sent.entry,
    day.id,
    {
      workMinutes: workHours === null ? null : Math.round(workHours * 60),
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
  const { day, batch, settlement, stillAlive, live } = loaderData;
  const show = useShow();
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
          {stillAlive > 0 && (
            <Notice>
              {plural(stillAlive, "bird")} of {batch.name} {stillAlive === 1 ? "is" : "are"} still alive and{" "}
              {stillAlive === 1 ? "bears its" : "bear their"} share of the feed, so this day's part changes a
              little with every bag until the last bird is processed.
            </Notice>
          )}
          <Close {...loaderData} refusal={actionData} />
          <Kept {...loaderData} />
          <Sheet heading="Export">
            <div className="flex flex-wrap gap-x-6">
              <a
                className="inline-flex min-h-12 items-center underline"
                href={`/days/${day.id}/day.csv`}
                download
              >
                Birds as CSV
              </a>
              <a
                className="inline-flex min-h-12 items-center underline"
                href={`/days/${day.id}/day.json`}
                download
              >
                Whole day as JSON
              </a>
            </div>
          </Sheet>
        </div>
        <div className="grid content-start gap-5">
          <Sheet heading="Yield">
            <Figure label="Mean dressed weight, as packed" reckoning={settlement.dressedMean} />
            <Figure label="Mean live weight" reckoning={live} />
            <Figure
              label="Dressing percentage"
              reckoning={settlement.dressedYield}
              note={
                settlement.dressedYield.value > MOST_DRESSED_FRACTION && (
                  <p className="text-barn">
                    No bird yields that much. Check the weights, or enter their live weight.
                  </p>
                )
              }
            />
            {settlement.feedPerKilogramDressed ? (
              <Figure
                label={`Feed per ${show.isUs ? "pound" : "kilogram"} dressed`}
                reckoning={settlement.feedPerKilogramDressed}
              />
            ) : (
              <p className="py-3 text-sm">
                No feed is recorded for {batch.name}, so feed per pound dressed is unknown.
              </p>
            )}
          </Sheet>
          <DayCosts {...loaderData} />
        </div>
      </div>
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Close({
  day,
  unitSystem,
  entryId,
  loggedMinutes,
  live,
  likelyUse,
  refusal,
}: Loaded & { refusal: Route.ComponentProps["actionData"] }) {
  const show = useShow();
  if (day.settledEntryId) {
    return (
      <Sheet heading="Settled">
        <p className="pb-3">This day is settled and locked. Reopen it to correct something.</p>
        <Form method="post" action={`/days/${day.id}/settle/reopen`}>
          <Button kind="plain">Reopen this day</Button>
        </Form>
      </Sheet>
    );
  }
  return (
    <Sheet heading="Settle the day">
      <FarmForm
        schema={settleForm(
          unitSystem,
          likelyUse.map(({ supply }) => supply),
        )}
        refusal={refusal}
        entryId={entryId}
        defaults={Object.fromEntries(
          likelyUse.map(({ supply, amount }) => [
            usedField(supply.id),
            supplyTyped(supply.kind, amount, show),
          ]),
        )}
        submit="Settle this day"
      >
        {(fields) => (
          <>
            <div className="grid gap-4 sm:grid-cols-2">
              <TextField
                field={fields.workHours}
                label="Total hours worked, all people"
                hint={`Leave blank to use ${show.value(loggedMinutes.value, "minutes")}, from ${loggedMinutes.inputs[1]?.provenance === "measured" ? "the day's log" : "the plan"}`}
                unit="h"
                inputMode="decimal"
              />
              <TextField
                field={fields.liveMean}
                label="Mean live weight that morning, if weighed"
                hint={`Leave blank to use ${show.value(live.value, "live-kg")}, the expected weight`}
              />
            </div>
            {likelyUse.length > 0 && (
              <fieldset className="grid gap-3">
                <legend className="pb-2 font-display text-lg">Used from stock</legend>
                <p className="text-sm text-soft">
                  Estimated from the birds packed and hours worked. Correct what you know; reopening the day
                  puts it all back.
                </p>
                <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
                  {likelyUse.map(({ supply }) => (
                    <TextField
                      key={supply.id}
                      field={
                        (fields as Readonly<Record<string, FieldMetadata<string>>>)[usedField(supply.id)]!
                      }
                      label={supply.name}
                      hint={`of ${supplyAmount(supply.kind, supply.inStock!, show)}`}
                      inputMode="text"
                    />
                  ))}
                </div>
              </fieldset>
            )}
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}

function DayCosts({ day, costs, used }: Pick<Loaded, "day" | "costs" | "used">) {
  const show = useShow();
  return (
    <Sheet heading="Costs of the day">
      {!day.settledEntryId && (
        <p className="pb-3 text-sm">
          Rental, power, and anything bought just for this day. Supplies from stock are counted when you
          settle; don't enter them here too.
        </p>
      )}
      <ul>
        {costs.map((cost) => (
          <li
            key={cost.entryId}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-2"
          >
            <span>{cost.what}</span>
            <span className="flex items-baseline gap-3">
              <span className="font-mono">{show.money(cost.amountCents)}</span>
              {!day.settledEntryId && (
                <RemoveButton entryId={cost.entryId} back={`/days/${day.id}/settle`} what={cost.what} />
              )}
            </span>
          </li>
        ))}
        {used.map(({ supplyId, name, kind, amount, cents }) => (
          <li key={supplyId} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
            <span>
              {name} <span className="text-sm text-soft">{supplyAmount(kind, amount, show)} from stock</span>
            </span>
            <span className="font-mono">{show.money(cents)}</span>
          </li>
        ))}
      </ul>
      {!day.settledEntryId && (
        <ButtonLink kind="plain" to={`/days/${day.id}/settle/cost`} className="mt-3">
          Add a cost
        </ButtonLink>
      )}
    </Sheet>
  );
}

function Kept({ kept, settlement, loggedMinutes, day }: Loaded) {
  const show = useShow();
  if (!kept || !settlement) return null;
  const took = loggedMinutes.value / day.people;
  return (
    <Sheet heading="Plan and actual">
      <dl>
        {[
          ["Whole day", show.minutes(kept.wholeDayMinutes), show.minutes(took)],
          [
            "Mean dressed weight",
            show.bird(kept.dressedMeanMilligrams),
            show.value(settlement.dressedMean.value, "carcass-kg"),
          ],
        ].map(([name, planned, came]) => (
          <div key={name} className="grid grid-cols-3 gap-2 border-b border-rule py-2 last:border-b-0">
            <dt className="text-soft">{name}</dt>
            <dd>planned {planned}</dd>
            <dd>actual {came}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
