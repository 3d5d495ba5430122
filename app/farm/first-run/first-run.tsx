import { redirect } from "react-router";
import { firstBatchName, firstRunForm, settingsOf } from "#app/farm/first-run/first-run-form.ts";
import { FirstSky } from "#app/farm/first-run/first-sky.tsx";
import { NearestTown } from "#app/farm/first-run/nearest-town.tsx";
import { UnitFields } from "#app/farm/unit-fields.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { localeOfBrowser, localeOptions, usualUnits } from "#app/words/locale.ts";
import { KIND_OPTIONS } from "#app/words/words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import type { Route } from "./+types/first-run.ts";

export const meta = () => [{ title: "A new farm · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  if (here.file.farm()) throw redirect("/farm");
  const locale = localeOfBrowser(request.headers.get("Accept-Language"));
  const timeZone = "America/New_York";
  const today = localDayOf(here.now(), timeZone);
  return {
    today,
    entryId: newEntryId(),
    locales: localeOptions([locale]),
    zones: Intl.supportedValuesOf("timeZone"),
    defaults: { locale, timeZone, ...usualUnits(locale), kind: "fast", hatchedOn: today },
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const sent = await submitted(here, request, firstRunForm);
  if (!sent.ok) return sent.refusal;
  const { birdCount, kind, hatchedOn, timeZone } = sent.value;
  const name = firstBatchName(kind, hatchedOn);
  const isAwaited = hatchedOn > localDayOf(here.now(), timeZone);
  const isSaved = here.file.together(() => {
    here.file.saveFarm(settingsOf(sent.value), 0);
    // Sent twice, the farm stands already, and its first batch is kept once.
    if (here.file.farm()?.name !== sent.value.name) return false;
    if (birdCount !== undefined)
      here.file.addBatch(sent.entry, {
        name,
        kind,
        hatchedOn,
        orderedCount: isAwaited ? birdCount : undefined,
        arrivedCount: birdCount,
        awaitedOn: isAwaited ? addDays(hatchedOn, 1) : undefined,
        maleSharePermille: 500,
        chickCostCents: 0,
      });
    return true;
  });
  if (!isSaved)
    return sent.refuse({ "": "The farm was set up in another window meanwhile. Reload the page to see it" });
  const batch = here.file.batches().find((one) => one.name === name);
  return redirect(batch ? `/batches/${batch.id}` : "/batches", 303);
}

const FORM = "first-run";

/** What a new farm is asked: its name, its place, its birds. All else is asked where it is used. */
export default function FirstRunPage({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead
        title="Good morning"
        line="Three questions, and you can plan. You can change all of it later."
      />
      <FarmForm
        id={FORM}
        schema={firstRunForm}
        refusal={actionData}
        entryId={loaderData.entryId}
        defaults={loaderData.defaults}
        submit="Start"
      >
        {(fields) => (
          <div className="grid max-w-prose gap-5">
            <Sheet heading="What is the farm called?">
              <TextField field={fields.name} label="Name of the farm" />
            </Sheet>
            <Sheet heading="Where is it?">
              <Place fields={fields} {...loaderData} />
            </Sheet>
            <Sheet heading="Which birds do you have?" beside="leave the count blank if none yet">
              <div className="grid gap-4">
                <ChoiceField field={fields.kind} label="Kind" options={KIND_OPTIONS} />
                <div className="grid grid-cols-2 items-end gap-4">
                  <TextField field={fields.birdCount} label="How many?" unit="birds" inputMode="numeric" />
                  <TextField field={fields.hatchedOn} label="Hatch date" type="date" />
                </div>
              </div>
            </Sheet>
            <Units fields={fields} locales={loaderData.locales} />
          </div>
        )}
      </FarmForm>
    </Page>
  );
}

type FirstRunFields = Fields<typeof firstRunForm>;

function Place({
  fields,
  zones,
  today,
  defaults,
}: Pick<Route.ComponentProps["loaderData"], "zones" | "today" | "defaults"> & { fields: FirstRunFields }) {
  return (
    <div className="grid gap-4">
      <NearestTown form={FORM} />
      <div className="grid grid-cols-2 items-end gap-4">
        <TextField field={fields.latitude} label="Latitude" hint="Such as 43.9" inputMode="text" />
        <TextField field={fields.longitude} label="Longitude" hint="West is negative" inputMode="text" />
      </div>
      <SelectField
        field={fields.timeZone}
        label="Time zone"
        options={zones.map((zone) => ({ value: zone, label: zone }))}
      />
      <FirstSky
        today={today}
        latitude={fields.latitude.value}
        longitude={fields.longitude.value}
        timeZone={fields.timeZone.value}
        locale={fields.locale.value ?? defaults.locale}
      />
    </div>
  );
}

/** What the browser said already, folded away. */
function Units({
  fields,
  locales,
}: {
  fields: FirstRunFields;
  locales: readonly { value: string; label: string }[];
}) {
  return (
    <details className="sheet folded-sheet">
      <summary className="sheet-head">
        <h2 className="text-lg">Units and money</h2>
        <span className="text-sm text-soft">as your device has them</span>
      </summary>
      <div className="grid gap-4 px-4 py-2">
        <UnitFields fields={fields} locales={locales} />
      </div>
    </details>
  );
}
