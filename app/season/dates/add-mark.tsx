import { redirect } from "react-router";
import { markForm } from "#app/season/dates/date-forms.ts";
import { SpanFields } from "#app/season/dates/span-fields.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-mark.ts";

export const meta = () => [{ title: "Day to plan around · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, markForm);
  if (!sent.ok) return sent.refusal;
  const { fromOn, toOn, kind, what, price } = sent.value;
  const mark = { fromOn, toOn: toOn ?? fromOn, kind, what, priceCents: kind === "out" ? price : undefined };
  const faults = faultsOf(here.file.season.addMark(sent.entry, mark), {});
  return faults ? sent.refuse(faults) : redirect("/season/dates", 303);
}

export default function AddMark({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Day to plan around" />
      <Sheet heading="Which day, and why" className="max-w-prose">
        <FarmForm
          schema={markForm}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ kind: "out" }}
          submit="Add"
        >
          {(fields) => (
            <>
              <TextField field={fields.what} label="What is happening?" />
              <ChoiceField
                field={fields.kind}
                label="Effect on processing"
                options={[
                  { value: "out", label: "Unavailable", line: "no processing" },
                  { value: "market", label: "A market", line: "birds are sold" },
                  { value: "note", label: "For information" },
                ]}
              />
              <SpanFields fields={fields} />
              <TextField
                field={fields.price}
                label="Allow processing at a cost of"
                hint="For unavailable days only. Leave blank for never; an amount allows it when the season earns that much more"
                inputMode="decimal"
              />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
