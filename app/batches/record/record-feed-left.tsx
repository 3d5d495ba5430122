import { redirect } from "react-router";
import { bagsToMilligrams, feedLeftForm, USUAL_BAG_MILLIGRAMS } from "#app/batches/batch-forms.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { FactPage } from "#app/batches/record/fact-page.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/record-feed-left.ts";

export const meta = () => [{ title: "Feed left · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  loadFactPage(context.get(farmContext), params.batchId);

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { batch, setting } = loadFactPage(context.get(farmContext), params.batchId);
  const sent = await submitted(here, request, feedLeftForm(setting));
  if (!sent.ok) return sent.refusal;
  const { countedOn, bagsLeft } = sent.value;
  const bag = here.file.story(batch.id).feed.at(-1)?.bagMilligrams ?? USUAL_BAG_MILLIGRAMS;
  const outcome = here.file.recordFeedLeft(sent.entry, batch.id, {
    countedOn,
    leftMilligrams: bagsToMilligrams(bagsLeft, bag),
  });
  const faults = faultsOf(outcome, {
    "more-than-bought": {
      bagsLeft: "That is more than was bought for this batch. Enter the purchase first, or count again",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordFeedLeft({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId } = loaderData;
  return (
    <FactPage title="Feed left" batchName={batch.name}>
      <FarmForm
        schema={feedLeftForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ countedOn: setting.today }}
        submit="Save"
      >
        {(fields) => (
          <>
            <TextField
              field={fields.bagsLeft}
              label="Bags left"
              hint="In bags of the last size bought. Feed left counts as stock, not as this batch's cost"
              inputMode="decimal"
            />
            <TextField field={fields.countedOn} label="Date counted" type="date" />
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
