import { redirect } from "react-router";
import { feedForm } from "#app/batches/batch-forms.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { FactPage } from "#app/batches/record/fact-page.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/record-feed.ts";

export const meta = () => [{ title: "Feed bought · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  loadFactPage(context.get(farmContext), params.batchId);

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { batch, setting } = loadFactPage(context.get(farmContext), params.batchId);
  const sent = await submitted(here, request, feedForm(setting));
  if (!sent.ok) return sent.refusal;
  const { boughtOn, bagCount, bagWeight, bagPrice, feedKind } = sent.value;
  const outcome = here.file.recordFeed(sent.entry, batch.id, {
    boughtOn,
    bagCount,
    bagMilligrams: bagWeight,
    bagPriceCents: bagPrice,
    feedKind: feedKind ?? "",
  });
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordFeed({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId } = loaderData;
  return (
    <FactPage title="Feed bought" batchName={batch.name}>
      <FarmForm
        schema={feedForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ boughtOn: setting.today, bagWeight: setting.unitSystem === "us" ? "50" : "25" }}
        submit="Save"
      >
        {(fields) => (
          <>
            <TextField field={fields.bagCount} label="Number of bags" inputMode="numeric" />
            <TextField
              field={fields.bagWeight}
              label="Weight of a bag"
              unit={setting.unitSystem === "us" ? "lb" : "kg"}
              inputMode="decimal"
            />
            <TextField field={fields.bagPrice} label="Price of a bag" inputMode="decimal" />
            <TextField field={fields.boughtOn} label="Date" type="date" />
            <TextField field={fields.feedKind} label="Kind" hint="Optional: starter, grower, corn" />
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
