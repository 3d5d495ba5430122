import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { choice, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-place.ts";

export const meta = () => [{ title: "Refrigerator or freezer · Pale Morning" }];

const placeForm = z.object({
  name: words(80, "Enter a name, such as barn chest"),
  kind: choice(["fridge", "freezer", "either"], "Choose the type"),
  capacityCount: wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds it holds" }),
});

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, placeForm);
  if (!sent.ok) return sent.refusal;
  const { kind, ...rest } = sent.value;
  const place =
    kind === "either"
      ? { ...rest, kind: "fridge" as const, canFreeze: true }
      : { ...rest, kind, canFreeze: false };
  const faults = faultsOf(here.file.addPlace(sent.entry, place), {
    "name-taken": { name: "That name is already used. Choose another" },
  });
  return faults ? sent.refuse(faults) : redirect("/freezers", 303);
}

export default function AddPlace({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Refrigerator or freezer" />
      <Sheet heading="Storage place" className="max-w-prose">
        <FarmForm
          schema={placeForm}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ kind: "freezer" }}
          submit="Add"
        >
          {(fields) => (
            <>
              <TextField field={fields.name} label="Name" />
              <ChoiceField
                field={fields.kind}
                label="Type"
                options={[
                  { value: "freezer", label: "Freezer" },
                  { value: "fridge", label: "Refrigerator" },
                  { value: "either", label: "Convertible", line: "a refrigerator that can be set to freeze" },
                ]}
              />
              <TextField field={fields.capacityCount} label="Capacity" unit="birds" inputMode="numeric" />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
