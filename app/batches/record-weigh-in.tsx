import { redirect } from "react-router";
import { weighInForm } from "#app/batches/batch-forms.ts";
import { loadFactPage } from "#app/batches/fact-page.server.ts";
import { FactPage } from "#app/batches/fact-page.tsx";
import { farmFile } from "#app/server/farm-file.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { LinesField, TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/record-weigh-in.ts";

export const meta = () => [{ title: "Live weights · Pale Morning" }];

export const loader = ({ params }: Route.LoaderArgs) => loadFactPage(params.batchId);

export async function action({ request, params }: Route.ActionArgs) {
  const { batch, setting } = loadFactPage(params.batchId);
  const sent = await submitted(request, weighInForm(setting));
  if (!sent.ok) return sent.refusal;
  const { weighedOn, weights } = sent.value;
  const outcome = farmFile().recordWeighings(
    sent.entry,
    batch.id,
    weights.map(({ weight, asTyped }) => ({ weighedOn, liveWeightMilligrams: weight, asTyped })),
  );
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordWeighIn({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId } = loaderData;
  return (
    <FactPage title="Live weights" batchName={batch.name}>
      <FarmForm
        schema={weighInForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ weighedOn: setting.today }}
        submit="Keep these weights"
      >
        {(fields) => (
          <>
            <LinesField
              field={fields.weights}
              label="Weights"
              hint={
                setting.unitSystem === "us"
                  ? "A bird a line, as you say it: 6 4, 6lb4oz, 6.25. Ten birds tell a lot; take them as they come, not the slow ones"
                  : "A bird a line, as you say it: 2.84, 2840g, 2,84 kg. Ten birds tell a lot; take them as they come, not the slow ones"
              }
              rows={10}
            />
            <TextField field={fields.weighedOn} label="Weighed on" type="date" />
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
