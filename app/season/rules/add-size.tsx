import { redirect } from "react-router";
import { sizeForm } from "#app/season/rules/rules-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-size.ts";

export const meta = () => [{ title: "Size · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  return { entryId: newEntryId(), unitSystem: requireFarm(here).unitSystem };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const sent = await submitted(here, request, sizeForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  const { who, least, most, birdCount } = sent.value;
  const size = { who, leastMilligrams: least, mostMilligrams: most, birdCount };
  const faults = faultsOf(here.file.season.addSize(sent.entry, size), {});
  return faults ? sent.refuse(faults) : redirect("/season/rules", 303);
}

export default function AddSize({ loaderData: { entryId, unitSystem }, actionData }: Route.ComponentProps) {
  const unit = unitSystem === "us" ? "lb" : "kg";
  return (
    <Page>
      <PageHead title="Size in demand" line="dressed" />
      <Sheet heading="Buyer and weight" className="max-w-prose">
        <FarmForm schema={sizeForm(unitSystem)} refusal={actionData} entryId={entryId} submit="Add">
          {(fields) => (
            <>
              <TextField field={fields.who} label="Buyer" />
              <div className="grid gap-5 sm:grid-cols-3">
                <TextField
                  field={fields.least}
                  label="Minimum weight"
                  hint="Leave blank for no limit"
                  unit={unit}
                  inputMode="decimal"
                />
                <TextField
                  field={fields.most}
                  label="Maximum weight"
                  hint="Leave blank for no limit"
                  unit={unit}
                  inputMode="decimal"
                />
                <TextField
                  field={fields.birdCount}
                  label="How many?"
                  hint="Per season"
                  unit="birds"
                  inputMode="numeric"
                />
              </div>
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
