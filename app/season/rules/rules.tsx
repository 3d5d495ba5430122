import { redirect } from "react-router";
import { rulesFields, rulesForm } from "#app/season/rules/rules-form.ts";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { TakeBack } from "#app/ui/take-back.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { SEASON_DEFAULTS as OURS } from "#core/season/season-constants.ts";
import type { WantedSize } from "#db/season/season-queries.server.ts";
import type { Route } from "./+types/rules.ts";

export const meta = () => [{ title: "Prices and rules · Pale Morning" }];

export function loader({ request }: Route.LoaderArgs) {
  const { unitSystem } = requireFarm();
  const { season } = farmFile();
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

export async function action({ request }: Route.ActionArgs) {
  const { unitSystem } = requireFarm();
  const seen = Number(new URL(request.url).searchParams.get("seen"));
  const sent = await submitted(request, rulesForm(unitSystem));
  if (!sent.ok) return sent.refusal;
  if (farmFile().season.saveSetting(sent.value, seen) === "saved")
    return redirect("/season/rules?saved", 303);
  return sent.refuse({
    "": "The rules were changed meanwhile, in another window or by somebody else. What you typed is still here; save it again if it should stand",
  });
}

export default function Rules({ loaderData, actionData }: Route.ComponentProps) {
  const { unitSystem, revision, fields, sizes, entryId, isSaved } = loaderData;
  return (
    <Page>
      <PageHead
        title="Prices and rules"
        line={isSaved && !actionData ? <span role="status">Saved.</span> : "what a season is weighed by"}
      />
      <FarmForm
        key={`${revision}${unitSystem}`}
        schema={rulesForm(unitSystem)}
        refusal={actionData}
        defaults={fields}
        entryId={entryId}
        action={`/season/rules?seen=${revision}`}
        submit="Save prices and rules"
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
          hint={`Empty: our guess, ${show.moneyPerWeight(OURS.wholeCentsPerKilogram)}`}
          inputMode="decimal"
        />
        <TextField
          field={form.cut}
          label={`Cuts, ${each}`}
          hint={`Empty: our guess, ${show.moneyPerWeight(OURS.cutCentsPerKilogram)}`}
          inputMode="decimal"
        />
        <TextField
          field={form.oddSizeOffPercent}
          label="Off for sizes nobody wants"
          hint={`Empty: our guess, ${OURS.oddSizeOffPercent} %`}
          unit="%"
          inputMode="numeric"
        />
        <TextField
          field={form.leavingAWeekCount}
          label="Leave the freezers in a week"
          hint="Eaten and sold. Empty: as in the last eight weeks"
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.longestLineHours}
          label="Longest time on the line"
          hint={`Empty: our guess, ${OURS.longestLineMinutes / 60} h`}
          unit="h"
          inputMode="decimal"
        />
        <TextField
          field={form.restDaysCount}
          label="Rest in the fridge"
          hint="Empty: 1 day fast-growing, 2 slow, 3 old"
          unit="days"
          inputMode="numeric"
        />
        <TextField
          field={form.hiredThing}
          label="Borrowed or hired"
          hint="Such as drum plucker; empty if your own"
        />
        <TextField field={form.hireCents} label="It costs a day" inputMode="decimal" />
        <TickField field={form.mustBeBooked} label="Only on days it is booked" />
      </div>
    </Sheet>
  );
}

function RuleFields({ form }: { form: Form }) {
  return (
    <Sheet heading="Rules and wishes">
      <p className="py-1 text-sm">
        A rule with no price is firm. With a price it is a wish: it may be given up, at so much for each bird
        (or each bird and night).
      </p>
      <div className="grid gap-4 py-2 sm:grid-cols-2">
        <TextField
          field={form.leastBirdsCount}
          label="Least worth a day"
          hint={`Empty: our guess, ${OURS.leastBirds}`}
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.leastBirdsCents}
          label="… given up for"
          hint="For each bird short"
          inputMode="decimal"
        />
        <TextField
          field={form.yearlyCapCount}
          label="Birds a year by your local rule"
          hint="Empty: none is counted. Your local code decides"
          unit="birds"
          inputMode="numeric"
        />
        <TextField
          field={form.yearlyCapCents}
          label="… given up for"
          hint="Best left empty"
          inputMode="decimal"
        />
        <TextField
          field={form.everyonePlacedCents}
          label="Every bird has a day"
          hint="For each bird without one"
          inputMode="decimal"
        />
        <TextField
          field={form.latestAgeCents}
          label="Not past the best age"
          hint="For each bird; it is the birds' welfare"
          inputMode="decimal"
        />
        <TextField
          field={form.crewCents}
          label="No more than the crew can do"
          hint="For each bird more"
          inputMode="decimal"
        />
        <TextField
          field={form.restRoomCents}
          label="Room to rest"
          hint="For each bird and night, say on bought ice"
          inputMode="decimal"
        />
        <TextField
          field={form.freezerRoomCents}
          label="Room in the freezers"
          hint="For each bird and night, say in a neighbor's"
          inputMode="decimal"
        />
      </div>
    </Sheet>
  );
}

function Sizes({ sizes }: { sizes: readonly WantedSize[] }) {
  const show = useShow();
  return (
    <Sheet heading="Sizes that are wanted" beside="dressed; they stand on every growth chart">
      {sizes.length === 0 && (
        <p className="max-w-prose py-2">Who wants birds of which size: the gate, an inn, your own table.</p>
      )}
      <ul>
        {sizes.map(({ entryId, who, leastMilligrams, mostMilligrams, birdCount }) => (
          <li key={entryId} className="flex items-baseline justify-between gap-3 border-b border-rule py-2">
            <span>
              {who}: {plural(birdCount, "bird")}
              {leastMilligrams !== null && `, from ${show.bird(leastMilligrams)}`}
              {mostMilligrams !== null && `, up to ${show.bird(mostMilligrams)}`}
            </span>
            <TakeBack entryId={entryId} back="/season/rules" what={`the size for ${who}`} />
          </li>
        ))}
      </ul>
      <ButtonLink to="/season/rules/size" kind="plain" className="mt-3">
        Add a size
      </ButtonLink>
    </Sheet>
  );
}
