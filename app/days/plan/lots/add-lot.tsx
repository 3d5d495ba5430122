import { Link, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { BATCH_TWICE } from "#app/days/plan/choices/day-form.ts";
import { ownersToChoose } from "#app/days/plan/choices/day-setting.server.ts";
import { tooManyBirds } from "#app/days/plan/choices/lot-form.ts";
import { proposedLot } from "#app/days/plan/choices/proposed-choices.server.ts";
import { addLotForm } from "#app/days/plan/lots/add-lot-forms.ts";
import { OwnerField } from "#app/days/plan/lots/owner-field.tsx";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { SelectField, TextField } from "#app/ui/field.tsx";
import { ButtonLink, Page, Sheet } from "#app/ui/sheet.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import type { ProcessingDay } from "#db/day/day-queries.server.ts";
import type { Route } from "./+types/add-lot.ts";

export const meta = () => [{ title: "Add a lot · Pale Morning" }];

/** Batches with free birds that are not on the day yet and have hatched by then. */
const batchesToAdd = ({ file }: FarmContext, { lots, processedOn }: ProcessingDay) =>
  file
    .batches()
    .filter(({ id, hatchedOn }) => hatchedOn <= processedOn && !lots.some(({ batchId }) => batchId === id))
    .map(({ id, name, kind }) => ({ id, name, kind, freeCount: file.freeForDay(id) }))
    .filter(({ freeCount }) => freeCount > 0);

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  return {
    day,
    line: lotsInWords(lots),
    batches: batchesToAdd(here, day),
    owners: ownersToChoose(here),
    asked: askedOf(new URL(request.url).searchParams),
    entryId: newEntryId(),
  };
}

/** What the season proposes, in the address. */
const askedOf = (asked: URLSearchParams) => ({
  batchId: asked.get("batch") ?? undefined,
  birdCount: asked.get("birds") ?? undefined,
});

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, addLotForm);
  if (!sent.ok) return sent.refusal;
  const { batchId, birdCount, ownerId } = sent.value;
  const batch = here.file.batch(batchId);
  if (!batch) return sent.refuse({ batchId: "That batch was removed. Choose another" });
  if (batch.hatchedOn > day.processedOn)
    return sent.refuse({ batchId: `${batch.name} hatches on ${batch.hatchedOn}, after this day` });
  const lot = { ...proposedLot(day, batch, birdCount), ownerId };
  const outcome = here.file.addLot(sent.entry, day.id, lot);
  const faults = faultsOf(outcome, {
    "more-than-alive": { birdCount: tooManyBirds(here.file.freeForDay(batchId, day.id)) },
    "batch-twice": { batchId: BATCH_TWICE },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/plan`, 303);
}

/** Birds of another batch for the same day, killed after those that are on it. */
export default function AddLot({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line } = loaderData;
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <div className="grid items-start gap-5 md:grid-cols-2">
        <Sheet heading="Add a lot">
          <p className="pb-3">
            A lot is birds of one batch. Lots share the crew, the bath, and the tanks; each has its own scald,
            feed withdrawal, weights, and costs. A new one is killed last; move it up in the plan.
          </p>
          <OwnBatch {...loaderData} refusal={actionData} />
        </Sheet>
        <Sheet heading="Birds that someone brings">
          <p className="pb-3">
            A neighbor's two roosters, or a household's own batch: their weights, packs, and costs are kept
            apart.
          </p>
          <ButtonLink kind="plain" to={`/days/${day.id}/lots/brought`}>
            Add someone else's birds
          </ButtonLink>
        </Sheet>
      </div>
    </Page>
  );
}

type OwnBatchProps = Route.ComponentProps["loaderData"] & { refusal: Route.ComponentProps["actionData"] };

/** Birds of a batch that the farm has. */
function OwnBatch({ batches, owners, asked, entryId, refusal }: OwnBatchProps) {
  if (batches.length === 0)
    return (
      <p className="pb-3">
        Every other bird is processed, lost, or scheduled.{" "}
        <Link to="/batches/new" className="underline">
          Add a batch
        </Link>
      </p>
    );
  return (
    <FarmForm
      schema={addLotForm}
      refusal={refusal}
      entryId={entryId}
      defaults={{ batchId: asked.batchId ?? String(batches[0]!.id), birdCount: asked.birdCount }}
      submit="Add lot"
    >
      {(fields) => (
        <>
          <SelectField
            field={fields.batchId}
            label="Batch"
            options={batches.map(({ id, name, freeCount }) => ({
              value: String(id),
              label: `${name}, ${freeCount} free`,
            }))}
          />
          <TextField field={fields.birdCount} label="Birds" inputMode="numeric" />
          <OwnerField field={fields.ownerId} owners={owners} />
        </>
      )}
    </FarmForm>
  );
}
