import { redirect } from "react-router";
import { PlaceFields } from "#app/freezers/place/place-fields.tsx";
import { placeForm } from "#app/freezers/place/place-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-place.ts";

export const meta = () => [{ title: "Refrigerator or freezer · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  return { unitSystem, entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const sent = await submitted(here, request, placeForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  const { revision: _none, ...place } = sent.value;
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
          schema={placeForm(loaderData.unitSystem)}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ kind: "freezer" }}
          submit="Add"
        >
          {(fields) => <PlaceFields fields={fields} />}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
