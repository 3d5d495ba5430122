import { useState } from "react";
import { redirect } from "react-router";
import { weighInForm } from "#app/batches/batch-forms.ts";
import { farWeights } from "#app/batches/growth/far-weights.server.ts";
import { loadFactPage } from "#app/batches/record/fact-page.server.ts";
import { FactPage } from "#app/batches/record/fact-page.tsx";
import { WeighInTally } from "#app/batches/record/weigh-in-tally.tsx";
import { readWeightLines } from "#app/batches/record/weight-lines.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { flockOf } from "#app/server/farm/flock-of.server.ts";
import { faultsOf, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { LinesField, TextField, TickField } from "#app/ui/field.tsx";
import { flockPath } from "#core/growth/flock-path.ts";
import type { Route } from "./+types/record-weigh-in.ts";

export const meta = () => [{ title: "Live weights · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const loaded = loadFactPage(context.get(farmContext), params.batchId);
  const { cv } = flockPath(flockOf(here, requireFarm(here), loaded.batch, here.file.story(loaded.batch.id)));
  return { ...loaded, flock: { birds: Math.max(1, loaded.batch.aliveCount), cvUsual: cv } };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { batch, setting } = loadFactPage(context.get(farmContext), params.batchId);
  const sent = await submitted(here, request, weighInForm(setting));
  if (!sent.ok) return sent.refusal;
  const { weighedOn, weights, isSure } = sent.value;
  const milligrams = weights.map(({ weight }) => weight);
  const far = isSure ? undefined : farWeights(here, farm, batch, weighedOn, milligrams);
  if (far) return sent.refuse({ weights: `${far} Check it, or check the box if it is right` });
  const outcome = here.file.recordWeighings(
    sent.entry,
    batch.id,
    weights.map(({ weight, asTyped }) => ({ weighedOn, liveWeightMilligrams: weight, asTyped })),
  );
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect(`/batches/${batch.id}`, 303);
}

export default function RecordWeighIn({ loaderData, actionData }: Route.ComponentProps) {
  const { batch, setting, entryId, flock } = loaderData;
  const [typed, setTyped] = useState("");
  return (
    <FactPage title="Live weights" batchName={batch.name}>
      <FarmForm
        schema={weighInForm(setting)}
        refusal={actionData}
        entryId={entryId}
        defaults={{ weighedOn: setting.today }}
        submit="Save weights"
        onRead={(_, form) => setTyped(String(form.get("weights")))}
      >
        {(fields) => (
          <>
            <LinesField
              field={fields.weights}
              label="Weights"
              hint={
                setting.unitSystem === "us"
                  ? "One bird per line: 6 4, 6lb4oz, or 6.25. A scale that acts as a keyboard can type here. Weigh birds at random, not just the easy ones to catch"
                  : "One bird per line: 2.84, 2840g, or 2,84 kg. A scale that acts as a keyboard can type here. Weigh birds at random, not just the easy ones to catch"
              }
              rows={8}
            />
            <WeighInTally lines={readWeightLines(typed, setting.unitSystem)} flock={flock} />
            <TextField field={fields.weighedOn} label="Date weighed" type="date" />
            {actionData && <TickField field={fields.isSure} label="These weights are correct" />}
          </>
        )}
      </FarmForm>
    </FactPage>
  );
}
