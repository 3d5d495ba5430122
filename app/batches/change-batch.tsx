import { Link, redirect } from "react-router";
import { BatchFields } from "#app/batches/batch-fields.tsx";
import { changeBatchForm } from "#app/batches/batch-forms.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { requireBatch } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/change-batch.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Change ${loaderData?.batch.name ?? "a batch"} · Pale Morning` },
];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { batch: requireBatch(here, params.batchId), entryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { id } = requireBatch(here, params.batchId);
  const sent = await submitted(here, request, changeBatchForm);
  if (!sent.ok) return sent.refusal;
  const { name, kind, hatchedOn, orderedCount, malePercent, chickCost, seen } = sent.value;
  const outcome = here.file.changeBatch(sent.entry, {
    id,
    revision: seen,
    name,
    kind,
    hatchedOn,
    orderedCount,
    maleSharePermille: malePercent * 10,
    chickCostCents: chickCost,
  });
  const faults = faultsOf(outcome, {
    "name-taken": { name: `There is already a batch called ${name}. Choose another name` },
    "hatched-later": {
      hatchedOn: `Something is recorded or planned for these birds on ${here.file.firstDayOf(id)}. Choose that date or an earlier one`,
    },
    "changed-meanwhile": {
      "": "This batch was changed in another window or by someone else. Your entries are still here. Reload the page to see what they saved",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/batches/${id}`, 303);
}

/** Puts right what was typed of a batch. How many chicks came, losses and feed have entries of their own. */
export default function ChangeBatch({ loaderData: { batch, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title={`Change ${batch.name}`} line="name, kind, hatch date, and what the chicks cost" />
      <Sheet heading="Chicks" className="max-w-prose">
        <FarmForm
          schema={changeBatchForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{
            name: batch.name,
            kind: batch.kind,
            malePercent: String(batch.maleSharePermille / 10),
            hatchedOn: batch.hatchedOn,
            orderedCount: String(batch.orderedCount ?? ""),
            chickCost: (batch.chickCostCents / 100).toFixed(2),
          }}
          submit="Save batch"
        >
          {(fields) => (
            <>
              <input type="hidden" name="seen" value={batch.revision} />
              <BatchFields fields={fields} />
            </>
          )}
        </FarmForm>
        <p className="pt-4 text-sm">
          Growth, plans, and costs follow the change, those of settled days too.{" "}
          <Link to={`/batches/${batch.id}`} className="underline">
            Back to {batch.name}
          </Link>
        </p>
      </Sheet>
    </Page>
  );
}
