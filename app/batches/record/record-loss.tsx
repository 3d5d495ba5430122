import { redirect } from "react-router";
import { lossForm } from "#app/batches/batch-forms.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { FactPage } from "#app/batches/record/fact-page.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/record-loss.ts";

export const meta = () => [{ title: "Birds lost · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  loadFactPage(context.get(farmContext), params.batchId);

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { batch, setting } = loadFactPage(context.get(farmContext), params.batchId);
  const sent = await submitted(here, request, lossForm(setting));
  if (!sent.ok) return sent.refusal;
  const { lostOn, birdCount, cause } = sent.value;
  const outcome = here.file.recordLoss(sent.entry, batch.id, { lostOn, birdCount, cause: cause ?? "" });
  const faults = faultsOf(outcome, {
    "more-than-alive": { birdCount: `Only ${batch.aliveCount} left alive. Enter that many or fewer` },
  });
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordLoss({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId } = loaderData;
  return (
    <FactPage title="Birds lost" batchName={batch.name}>
      <FarmForm
        schema={lossForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ lostOn: setting.today, birdCount: "1" }}
        submit="Save"
      >
        {(fields) => (
          <>
            <TextField field={fields.birdCount} label="How many?" unit="birds" inputMode="numeric" />
            <TextField field={fields.lostOn} label="Date" type="date" />
            <TextField field={fields.cause} label="Cause" hint="Optional: brooder, hawk, heat, legs" />
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
