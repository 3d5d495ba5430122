import { redirect } from "react-router";
import { supplyForm } from "#app/freezers/supply-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { SelectField, TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { SUPPLY_WORDS, supplyUnit } from "#app/words/supply-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { SUPPLY_KINDS, type SupplyKind } from "#core/packing/supply-stock.ts";
import type { Route } from "./+types/add-supply.ts";

export const meta = () => [{ title: "Supply · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const asked = new URL(request.url).searchParams.get("kind") ?? "";
  const kind: SupplyKind = SUPPLY_KINDS.find((one) => one === asked) ?? "bag";
  return { unitSystem: requireFarm(here).unitSystem, kind, entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const sent = await submitted(here, request, supplyForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { inStock, ...supply } = sent.value;
  const movedOn = localDayOf(here.now(), farm.timeZone);
  const faults = faultsOf(here.file.supplying.addSupply(sent.entry, supply, movedOn, inStock), {
    "name-taken": { name: "That name is already used. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers/supplies", 303);
}

export default function AddSupply({ loaderData, actionData }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="New supply" />
      <Sheet heading="Supply" className="max-w-prose">
        <FarmForm
          schema={supplyForm(loaderData.unitSystem)}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ kind: loaderData.kind, name: SUPPLY_WORDS[loaderData.kind].name }}
          submit="Add"
        >
          {(fields) => (
            <>
              <SelectField
                field={fields.kind}
                label="Type"
                options={SUPPLY_KINDS.map((value) => ({
                  value,
                  label: `${SUPPLY_WORDS[value].name}, in ${supplyUnit(value, show)}`,
                }))}
              />
              <TextField field={fields.name} label="Name" />
              <TextField
                field={fields.most}
                label="Largest bird it fits, dressed"
                hint={`For bags only, such as ${show.isUs ? "5 lb" : "2.3 kg"}`}
              />
              <div className="grid gap-4 sm:grid-cols-2">
                <TextField
                  field={fields.packAmount}
                  label="Quantity per pack"
                  hint={`Pieces, pairs, rolls, ${show.isUs ? "pounds, or fluid ounces" : "grams, or milliliters"}`}
                  inputMode="text"
                />
                <TextField
                  field={fields.packPrice}
                  label="Price per pack"
                  hint="Counts toward the day that uses it"
                  inputMode="decimal"
                />
              </div>
              <TextField
                field={fields.inStock}
                label="Quantity on hand"
                hint="Leave blank if not counted yet"
                inputMode="text"
              />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
