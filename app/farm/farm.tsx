import { Link, redirect } from "react-router";
import { CostFields, PlanningFields, SanitizerFields } from "#app/farm/day-fields.tsx";
import { ChillFields, FarmFields, ScalderFields } from "#app/farm/farm-fields.tsx";
import { farmSettings, farmSettingsForm } from "#app/farm/farm-settings.ts";
import { otherClocks } from "#app/server/day/other-clock.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { OURS } from "#app/server/farm/farm-means.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { OtherClock } from "#app/ui/other-clock.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { useMayOpen } from "#app/ui/visitor/role.tsx";
import { localeOfBrowser, localeOptions } from "#app/words/locale.ts";
import type { KitRow } from "#db/farm/farm-queries.server.ts";
import type { Route } from "./+types/farm.ts";

export const meta = () => [{ title: "Farm · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const browser = localeOfBrowser(request.headers.get("Accept-Language"));
  return {
    revision: farm.revision,
    unitSystem: farm.unitSystem,
    fields: farmSettings(farm),
    kit: here.file.kit(),
    otherClock: otherClocks(here, farm),
    entryId: newEntryId(),
    isSaved: new URL(request.url).searchParams.has("saved"),
    ours: OURS,
    locales: localeOptions([browser, farm.locale]),
    zones: Intl.supportedValuesOf("timeZone"),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const seen = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(here, request, farmSettingsForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  if (here.file.saveFarm(sent.value, seen) === "saved") return redirect("/farm?saved", 303);
  return sent.refuse({
    "": "These settings were changed in another window or by someone else. What you entered is still here; save again to replace the other changes",
  });
}

export default function Farm({ loaderData, actionData }: Route.ComponentProps) {
  const { revision, unitSystem, fields, kit, entryId, isSaved, ours, zones, locales } = loaderData;
  return (
    <Page>
      <PageHead
        title="Farm"
        line={
          isSaved && !actionData ? <span role="status">Saved.</span> : "location, equipment, and settings"
        }
      />
      <OtherClock days={loaderData.otherClock} />
      <FarmForm
        key={`${revision}${unitSystem}`}
        schema={farmSettingsForm(unitSystem)}
        refusal={actionData}
        defaults={fields}
        entryId={entryId}
        action={`/farm?seen=${revision}`}
        submit="Save farm"
      >
        {(form) => (
          <div className="grid gap-5 lg:grid-cols-2">
            <FarmFields fields={form} zones={zones} locales={locales} />
            <div className="grid content-start gap-5">
              <PlanningFields fields={form} ours={ours} />
              <CostFields fields={form} ours={ours} />
              <SanitizerFields fields={form} ours={ours} />
            </div>
            <ScalderFields fields={form} ours={ours} />
            <ChillFields fields={form} ours={ours} />
          </div>
        )}
      </FarmForm>
      <Kit kit={kit} />
      <MoreOfFarm />
    </Page>
  );
}

/** What has a page of its own. */
const MORE = [
  {
    words: "Households that raise with you, and neighbors who bring birds along.",
    to: "/farm/owners",
    link: "Households and neighbors",
  },
  {
    words: "A thermometer in the scald bath, a bench scale, and a label printer.",
    to: "/farm/devices",
    link: "Devices",
  },
  {
    words: "Which phones and computers can use this farm, and what each can do.",
    to: "/farm/access",
    link: "Phones",
  },
  {
    words: "The farm's data file, backups, and restoring one.",
    to: "/farm/data",
    link: "Data and backups",
  },
  {
    words: "Who entered, removed, or changed what, and putting back what was removed by mistake.",
    to: "/farm/history",
    link: "History",
  },
] as const;

function MoreOfFarm() {
  const mayOpen = useMayOpen();
  return (
    <Sheet heading="Also about the farm">
      <ul>
        {MORE.filter(({ to }) => mayOpen(to)).map(({ words, to, link }) => (
          <li key={to} className="border-b border-rule last:border-b-0">
            <Link to={to} className="block min-h-12 py-2">
              <span className="font-semibold underline">{link}</span>
              <span className="block text-sm text-soft">{words}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

function Kit({ kit }: { kit: readonly KitRow[] }) {
  const show = useShow();
  return (
    <Sheet heading="Equipment" beside="depreciated evenly into the cost with equipment">
      {kit.length === 0 && (
        <p className="max-w-prose pb-3">
          Plucker, cones, freezer: what they cost and how long they last. A share of each goes into the cost
          per bird.
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
                {item.lifeYears === undefined
                  ? `over ${show.count(item.lifeBirds ?? 0)} birds`
                  : `over ${item.lifeYears} years`}
              </span>
            </span>
            <RemoveButton entryId={item.entryId} back="/farm" what={item.name} />
          </li>
        ))}
      </ul>
      <ButtonLink kind="plain" to="/farm/equipment" className="mt-3">
        Add equipment
      </ButtonLink>
    </Sheet>
  );
}
