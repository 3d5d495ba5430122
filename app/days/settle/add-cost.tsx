import { redirect } from "react-router";
import { z } from "zod";
import { DayHead } from "#app/days/leaves.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { money, words } from "#app/ui/read/read-field.ts";
import { Page, Sheet } from "#app/ui/sheet.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import type { Route } from "./+types/add-cost.ts";

export const meta = () => [{ title: "Cost of the day · Pale Morning" }];

const dayCostForm = z.object({
  what: words(200, "Enter what it was for, such as ice"),
  amount: money("Enter the amount"),
});

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  return { day, batchName: batchesInWords(lots), entryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, dayCostForm);
  if (!sent.ok) return sent.refusal;
  const outcome = here.file.settling.addCost(sent.entry, day.id, {
    what: sent.value.what,
    amountCents: sent.value.amount,
  });
  const faults = faultsOf(outcome, {
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/settle`, 303);
}

export default function AddCost({
  loaderData: { day, batchName, entryId },
  actionData,
}: Route.ComponentProps) {
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={batchName} />
      <Sheet heading="Cost of this day only" className="max-w-prose">
        <FarmForm schema={dayCostForm} refusal={actionData} entryId={entryId} submit="Save">
          {(fields) => (
            <>
              <TextField
                field={fields.what}
                label="What for?"
                hint="Ice, propane, shrink bags, plucker rental"
              />
              <TextField field={fields.amount} label="Amount" inputMode="decimal" />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
