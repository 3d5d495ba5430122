import { redirect } from "react-router";
import { BatchFields } from "#app/batches/batch-fields.tsx";
import { newBatchForm } from "#app/batches/batch-forms.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { Route } from "./+types/new-batch.ts";

export const meta = () => [{ title: "A new batch · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const asked = new URL(request.url).searchParams;
  const today = localDayOf(here.now(), farm.timeZone);
  return {
    entryId: newEntryId(),
    defaults: {
      malePercent: "50",
      hatchedOn: asked.get("hatched") ?? today,
      kind: asked.get("kind") ?? undefined,
      orderedCount: asked.get("ordered") ?? undefined,
    },
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, newBatchForm);
  if (!sent.ok) return sent.refusal;
  const { malePercent, chickCost, name, kind, hatchedOn, orderedCount } = sent.value;
  const isAwaited = sent.value.arrivedCount === undefined;
  const arrivedCount = sent.value.arrivedCount ?? orderedCount!;
  const outcome = here.file.addBatch(sent.entry, {
    name,
    kind,
    hatchedOn,
    orderedCount,
    arrivedCount,
    // Day-olds by post come the day after they hatch.
    awaitedOn: isAwaited ? addDays(hatchedOn, 1) : undefined,
    maleSharePermille: malePercent * 10,
    chickCostCents: chickCost,
  });
  const faults = faultsOf(outcome, {
    "name-taken": { name: `There is already a batch called ${name}. Choose another name` },
  });
  if (faults) return sent.refuse(faults);
  const batch = here.file.batches().find((candidate) => candidate.name === name);
  return redirect(batch ? `/batches/${batch.id}` : "/batches", 303);
}

export default function NewBatch({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="New batch" line="birds from one hatch, raised together" />
      <Sheet heading="Chicks" className="max-w-prose">
        <FarmForm
          schema={newBatchForm}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={loaderData.defaults}
          submit="Add batch"
        >
          {(fields) => (
            <BatchFields fields={fields} nameHint="Such as White 26-A">
              <TextField
                field={fields.arrivedCount}
                label="Chicks arrived alive"
                hint="Leave blank while on order"
                inputMode="numeric"
                unit="birds"
              />
            </BatchFields>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
