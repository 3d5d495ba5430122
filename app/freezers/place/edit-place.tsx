import { data, redirect } from "react-router";
import { PlaceFields } from "#app/freezers/place/place-fields.tsx";
import { areaTyped, placeForm } from "#app/freezers/place/place-form.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { temperatureAsTyped } from "#app/ui/read/as-typed.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { StoragePlace } from "#db/place/place-queries.server.ts";
import type { Route } from "./+types/edit-place.ts";

export const meta = () => [{ title: "Change a freezer · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  return { place: requirePlace(here, params.placeId), unitSystem, entryId: newEntryId() };
}

/** @throws a 404 page if there is no such place */
function requirePlace(here: FarmContext, text: string): StoragePlace {
  const id = idFrom(text, "place");
  const place = here.file.places().find((one) => one.id === id);
  if (!place) throw data("That refrigerator or freezer does not exist, or was removed.", { status: 404 });
  return place;
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const place = requirePlace(here, params.placeId);
  const sent = await submitted(here, request, placeForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  const { revision, ...facts } = sent.value;
  switch (here.file.savePlace(place.id, revision ?? place.revision, facts)) {
    case "name-taken":
      return sent.refuse({ name: "That name is already used. Choose another" });
    case "changed-meanwhile":
      return sent.refuse({
        "": "Someone changed this place meanwhile. Reload the page to see what they saved",
      });
    case "saved":
      return redirect(`/freezers/place/${place.id}`, 303);
  }
}

export default function EditPlace({ loaderData, actionData }: Route.ComponentProps) {
  const { place, unitSystem, entryId } = loaderData;
  return (
    <Page>
      <PageHead title={place.name} />
      <Sheet heading="Storage place" className="max-w-prose">
        <FarmForm
          schema={placeForm(unitSystem)}
          refusal={actionData}
          entryId={entryId}
          defaults={{
            name: place.name,
            kind: place.kind === "freezer" ? "freezer" : place.canFreeze ? "either" : "fridge",
            capacityCount: String(place.capacityCount),
            airMillicelsius:
              place.airMillicelsius === undefined
                ? ""
                : temperatureAsTyped(unitSystem, place.airMillicelsius),
            spareWatts: place.spareWatts?.toString(),
            volumeMilliliters:
              place.volumeMilliliters === undefined ? "" : `${place.volumeMilliliters / 1000} l`,
            shelfArea: areaTyped(place.shelfSquareCentimeters, unitSystem),
            hasFan: place.hasFan ? "on" : undefined,
          }}
          submit="Save"
        >
          {(fields) => (
            <>
              <input type="hidden" name="revision" value={place.revision} />
              <PlaceFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
