import { redirect } from "react-router";
import { weatherForm } from "#app/season/dates/date-forms.ts";
import { SpanFields } from "#app/season/dates/span-fields.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/say-weather.ts";

export const meta = () => [{ title: "Weather · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  return { entryId: newEntryId(), unitSystem: requireFarm(here).unitSystem };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const sent = await submitted(here, request, weatherForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  const { fromOn, toOn, mean, what } = sent.value;
  const spell = { fromOn, toOn: toOn ?? fromOn, meanMillicelsius: mean, what: what ?? "" };
  const faults = faultsOf(here.file.season.addSpell(sent.entry, spell), {});
  return faults ? sent.refuse(faults) : redirect("/season/dates", 303);
}

export default function SayWeather({
  loaderData: { entryId, unitSystem },
  actionData,
}: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Weather" line="what it was, or your forecast" />
      <Sheet heading="Days" className="max-w-prose">
        <FarmForm schema={weatherForm(unitSystem)} refusal={actionData} entryId={entryId} submit="Save">
          {(fields) => (
            <>
              <SpanFields fields={fields} />
              <TextField
                field={fields.mean}
                label="Average temperature"
                hint="Average of day and night"
                unit={unitSystem === "us" ? "°F" : "°C"}
                inputMode="decimal"
              />
              <TextField field={fields.what} label="Description" hint="Heat wave, cold nights" />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
