import { redirect } from "react-router";
import { rulesFields, rulesForm } from "#app/season/rules/rules-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { SEASON_DEFAULTS as OURS } from "#core/season/season-constants.ts";
import type { WantedSize } from "#db/season/season-queries.server.ts";
import type { Route } from "./+types/rules.ts";

export const meta = () => [{ title: "Prices and limits · Pale Morning" }];

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const { season } = here.file;
  const { revision, ...setting } = season.setting();
  return {
    unitSystem,
    revision,
    fields: rulesFields(setting, unitSystem),
    sizes: season.sizes(),
    entryId: newEntryId(),
    isSaved: new URL(request.url).searchParams.has("saved"),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { unitSystem } = requireFarm(here);
  const seen = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(here, request, rulesForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  if (here.file.season.saveSetting(sent.value, seen) === "saved") return redirect("/season/rules?saved", 303);
  return sent.refuse({
    "": "These settings were changed in another window or by someone else. What you entered is still here; save again to replace the other changes",
  });
}

export default function Rules({ loaderData, actionData }: Route.ComponentProps) {
  const { unitSystem, revision, fields, sizes, entryId, isSaved } = loaderData;
  return (
    <Page>
      <PageHead
        title="Prices and limits"
        line={isSaved && !actionData ? <span role="status">Saved.</span> : "what the season plan uses"}
      />
      <FarmForm
        key={`${revision}${unitSystem}`}
        schema={rulesForm(unitSystem)}
        refusal={actionData}
        defaults={fields}
        entryId={entryId}
        action={`/season/rules?seen=${revision}`}
        submit="Save prices and limits"
      >
        {(form) => (
          <div className="grid items-start gap-5 lg:grid-cols-2">
            <PriceFields form={form} />
            <RuleFields form={form} />
          </div>
        )}
      </FarmForm>
      <Sizes sizes={sizes} />
    </Page>
  );
}

type Form = Fields<ReturnType<typeof rulesForm>>;

function PriceFields({ form }: { form: Form }) {
  const show = useShow();
  const each = `a ${show.weightUnit}`;
  return (
    <Sheet heading="Prices and pace">
      <div className="grid gap-4 py-2 sm:grid-cols-2">
        <TextField
          field={form.whole}
          label={`Whole birds, ${each}`}
          hint={`Leave blank to use our estimate (${show.moneyPerWeight(OURS.wholeCentsPerKilogram)})`}
          inputMode="decimal"
        />
        <TextField
          field={form.cut}
          label={`Cuts, ${each}`}
          hint={`Leave blank to use our estimate (${show.moneyPerWeight(OURS.cutCentsPerKilogram)})`}
          inputMode="decimal"
        />
        <TextField
          field={form.oddSizeOffPercent}
          label="Discount for sizes no one wants"
          hint={`Leave blank to use our estimate (${OURS.oddSizeOffPercent} %)`}
          unit="%"
          inputMode="numeric"
        />
        <TextField
          field={form.leavingAWeekCount}
          label="Birds leaving the freezers per week"
          hint="Eaten and sold. Leave blank to use the last eight weeks"
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.longestLineHours}
          label="Longest line time"
          hint={`Leave blank to use our estimate (${OURS.longestLineMinutes / 60} h)`}
          unit="h"
          inputMode="decimal"
        />
        <TextField
          field={form.restDaysCount}
          label="Rest in the refrigerator"
          hint="Leave blank for 1 day fast-growing, 2 slow, 3 old"
          unit="days"
          inputMode="numeric"
        />
        <TextField
          field={form.hiredThing}
          label="Borrowed or rented equipment"
          hint="Such as drum plucker; leave blank if you own it"
        />
        <TextField field={form.hireCents} label="Cost per day" inputMode="decimal" />
        <TickField field={form.mustBeBooked} label="Only on days it is booked" />
      </div>
    </Sheet>
  );
}

function RuleFields({ form }: { form: Form }) {
  return (
    <Sheet heading="Limits">
      <p className="py-1 text-sm">
        A limit without a cost is firm. With a cost, the plan may exceed it at that cost per bird (or per bird
        and night).
      </p>
      <div className="grid gap-4 py-2 sm:grid-cols-2">
        <TextField
          field={form.leastBirdsCount}
          label="Fewest birds for a day"
          hint={`Leave blank to use our estimate (${OURS.leastBirds})`}
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.leastBirdsCents}
          label="Allow fewer at a cost of"
          hint="Per bird short"
          inputMode="decimal"
        />
        <TextField
          field={form.yearlyCapCount}
          label="Birds per year allowed by local rules"
          hint="Leave blank for no limit. Follow your local code"
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.yearlyCapCents}
          label="Allow more at a cost of"
          hint="Best left blank"
          inputMode="decimal"
        />
        <TextField
          field={form.everyonePlacedCents}
          label="Every bird gets a day"
          hint="Allow exceptions at a cost per bird of"
          inputMode="decimal"
        />
        <TextField
          field={form.latestAgeCents}
          label="Best age limit"
          hint="Allow more at a cost per bird of (a welfare limit)"
          inputMode="decimal"
        />
        <TextField
          field={form.crewCents}
          label="Crew limit"
          hint="Allow more at a cost per bird of"
          inputMode="decimal"
        />
        <TextField
          field={form.restRoomCents}
          label="Resting space"
          hint="Allow more at a cost per bird and night, such as on bought ice"
          inputMode="decimal"
        />
        <TextField
          field={form.freezerRoomCents}
          label="Freezer space"
          hint="Allow more at a cost per bird and night, such as in a neighbor's freezer"
          inputMode="decimal"
        />
      </div>
    </Sheet>
  );
}

function Sizes({ sizes }: { sizes: readonly WantedSize[] }) {
  const show = useShow();
  return (
    <Sheet heading="Sizes in demand" beside="dressed; shown on every growth chart">
      {sizes.length === 0 && (
        <p className="max-w-prose py-2">
          Add who wants birds of which size: farm-gate sales, an inn, your household.
        </p>
      )}
      <ul>
        {sizes.map(({ entryId, who, leastMilligrams, mostMilligrams, birdCount }) => (
          <li key={entryId} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
            <span>
              {who}: {plural(birdCount, "bird")}
              {leastMilligrams !== undefined && `, from ${show.bird(leastMilligrams)}`}
              {mostMilligrams !== undefined && `, up to ${show.bird(mostMilligrams)}`}
            </span>
            <RemoveButton entryId={entryId} back="/season/rules" what={`the size for ${who}`} />
          </li>
        ))}
      </ul>
      <ButtonLink to="/season/rules/size" kind="plain" className="mt-3">
        Add a size
      </ButtonLink>
    </Sheet>
  );
}
