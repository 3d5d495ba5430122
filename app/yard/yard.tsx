import { redirect } from "react-router";
import { farmFile } from "#app/server/farm-file.server.ts";
import { OURS } from "#app/server/farm-means.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { TakeBack } from "#app/ui/take-back.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { ChillFields, DayFields, FarmFields, ScalderFields } from "#app/yard/yard-fields.tsx";
import { yardFields, yardForm } from "#app/yard/yard-form.ts";
import type { KitRow } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/yard.ts";

export const meta = () => [{ title: "Yard · Pale Morning" }];

const NEW_FARM = {
  timeZone: "America/New_York",
  unitSystem: "us",
  currency: "USD",
  practice: "few",
  pluckAtOnceCount: "1",
  tankWall: "insulated",
  chillMethod: "still",
  scalderHeat: "propane",
  isScalderLidded: "on",
  scaldAtOnceCount: "1",
  usesOwnDays: "on",
};

export function loader({ request }: Route.LoaderArgs) {
  const farm = farmFile().farm();
  return {
    isNew: farm === undefined,
    revision: farm?.revision ?? 0,
    unitSystem: farm?.unitSystem ?? ("us" as const),
    fields: farm ? yardFields(farm) : NEW_FARM,
    kit: farmFile().kit(),
    entryId: newEntryId(),
    isSaved: new URL(request.url).searchParams.has("saved"),
    ours: OURS,
    zones: Intl.supportedValuesOf("timeZone"),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const farm = farmFile().farm();
  const seen = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(request, yardForm(farm?.unitSystem ?? "us"));
  if (!sent.ok) return sent.refusal;
  if (farmFile().saveFarm(sent.value, seen) === "saved") {
    return redirect(farm ? "/yard?saved" : "/batches", 303);
  }
  return sent.refuse({
    "": "The yard was changed meanwhile, in another window or by somebody else. What you typed is still here; save it again if it should stand",
  });
}

export default function Yard({ loaderData, actionData }: Route.ComponentProps) {
  const { isNew, revision, unitSystem, fields, kit, entryId, isSaved, ours, zones } = loaderData;
  return (
    <Page>
      {isNew ? (
        <PageHead
          title="Good morning"
          line="First, the farm: where the sun rises and what you work with. All of it can be changed later."
        />
      ) : (
        <PageHead
          title="Yard"
          line={isSaved && !actionData ? <span role="status">Saved.</span> : "what you work with"}
        />
      )}
      <FarmForm
        key={`${revision}${unitSystem}`}
        schema={yardForm(unitSystem)}
        refusal={actionData}
        defaults={fields}
        entryId={entryId}
        action={`/yard?seen=${revision}`}
        submit={isNew ? "Begin" : "Save the yard"}
      >
        {(form) => (
          <div className="grid gap-5 lg:grid-cols-2">
            <FarmFields fields={form} zones={zones} />
            <DayFields fields={form} ours={ours} />
            <ScalderFields fields={form} ours={ours} />
            <ChillFields fields={form} ours={ours} />
          </div>
        )}
      </FarmForm>
      {!isNew && <Kit kit={kit} />}
    </Page>
  );
}

function Kit({ kit }: { kit: readonly KitRow[] }) {
  const show = useShow();
  return (
    <Sheet heading="Kit" beside="written off evenly, into the cost with the kit">
      {kit.length === 0 && (
        <p className="max-w-prose pb-3">
          Plucker, cones, freezer: what they cost and how long they last. A share of each goes into the cost
          of a bird.
        </p>
      )}
      <ul>
        {kit.map((item) => (
          <li
            key={item.entryId}
            className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-2"
          >
            <span>
              {item.name}, {show.money(item.priceCents)}
              <span className="block text-sm text-soft">
                {item.lifeYears === null
                  ? `over ${show.count(item.lifeBirds ?? 0)} birds`
                  : `over ${item.lifeYears} years`}
              </span>
            </span>
            <TakeBack entryId={item.entryId} back="/yard" what={item.name} />
          </li>
        ))}
      </ul>
      <ButtonLink kind="plain" to="/yard/kit" className="mt-3">
        Add a piece of kit
      </ButtonLink>
    </Sheet>
  );
}
