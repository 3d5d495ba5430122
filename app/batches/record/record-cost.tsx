import { redirect } from "react-router";
import { costForm } from "#app/batches/batch-forms.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { FactPage } from "#app/batches/record/fact-page.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/record-cost.ts";

export const meta = () => [{ title: "Other cost · Pale Morning" }];

export const loader = ({ context, params }: Route.LoaderArgs) =>
  loadFactPage(context.get(farmContext), params.batchId);

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { batch, setting } = loadFactPage(context.get(farmContext), params.batchId);
  const sent = await submitted(here, request, costForm(setting));
  if (!sent.ok) return sent.refusal;
  const { spentOn, what, amount } = sent.value;
  const outcome = here.file.recordCost(sent.entry, batch.id, { spentOn, what, amountCents: amount });
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordCost({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId } = loaderData;
  return (
    <FactPage title="Other cost" batchName={batch.name}>
      <FarmForm
        schema={costForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ spentOn: setting.today }}
        submit="Save"
      >
        {(fields) => (
          <>
            <TextField field={fields.what} label="What for?" hint="Bedding, vaccine, brooder power" />
            <TextField field={fields.amount} label="Amount" inputMode="decimal" />
            <TextField field={fields.spentOn} label="Date" type="date" />
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
