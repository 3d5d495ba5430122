import { redirect } from "react-router";
import { startLoadForm } from "#app/days/cut/by-products/by-product-form.ts";
import { LoadList } from "#app/days/cut/by-products/load-list.tsx";
import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { lotsToPack } from "#app/server/day/packs-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { BY_PRODUCT_WORDS } from "#app/words/packing/by-product-words.ts";
import { productOfBird } from "#core/carcass-yield/piece-weight.ts";
import { BY_PRODUCT_KINDS } from "#core/packing/by-products.ts";
import type { ProductKindName } from "#core/packing/product-kinds.ts";
import type { Route } from "./+types/by-products.ts";

export const meta = () => [{ title: "By-products · Pale Morning" }];

/** By-products of which a bird's usual share is known. */
const EXPECTED = ["liver", "heart", "gizzard", "neck", "feet"] as const satisfies readonly ProductKindName[];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const toPack = lotsToPack(here, day, lots, here.file.pack.carcasses(day.id));
  return {
    day,
    line: batchesInWords(lots),
    loads: here.file.byProducts.loads(day.id),
    checks: here.file.byProducts.checks(day.id),
    expected: EXPECTED.map((product) => ({
      product,
      kilograms: toPack.reduce(
        (sum, { means, dressed }) => sum + (means ? (productOfBird(product, means) ?? 0) * dressed : 0),
        0,
      ),
    })).filter(({ kilograms }) => kilograms > 0),
    unitSystem: farm.unitSystem,
    entryId: newEntryId(),
    now: here.now(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, startLoadForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { kind, inMilligrams, bowlMilligrams = 0, note = "" } = sent.value;
  if (bowlMilligrams >= inMilligrams)
    return sent.refuse({ bowlMilligrams: "The bowl weighs no less than the full one. Check both weights" });
  const outcome = here.file.byProducts.start(sent.entry, day.id, {
    kind,
    inMilligrams: inMilligrams - bowlMilligrams,
    note,
  });
  const faults = faultsOf(outcome, {
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/cut/by-products`, 303);
}

export default function ByProducts({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line, expected } = loaderData;
  const show = useShow();
  return (
    <Page isWide>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <CutTabs dayId={day.id} />
      <div className="grid items-start gap-5 lg:grid-cols-3">
        <div className="grid gap-5 lg:col-span-2">
          {expected.length > 0 && (
            <p>
              These birds give about{" "}
              {expected
                .map(({ product, kilograms }) => `${show.bulk(kilograms * 1e6)} of ${NAMES[product]}`)
                .join(", ")}
              , by the usual shares.
            </p>
          )}
          <LoadList {...loaderData} />
        </div>
        <div className="grid gap-5">
          <StartLoad {...loaderData} refusal={actionData} />
        </div>
      </div>
    </Page>
  );
}

const NAMES: Readonly<Record<(typeof EXPECTED)[number], string>> = {
  liver: "livers",
  heart: "hearts",
  gizzard: "gizzards",
  neck: "necks",
  feet: "feet",
};

type StartLoadProps = Route.ComponentProps["loaderData"] & { refusal: Refusal | undefined };

/** What is done with a by-product, and what it weighs as it goes in. */
function StartLoad({ day, loads, unitSystem, entryId, refusal }: StartLoadProps) {
  if (day.settledEntryId)
    return (
      <Notice tone="plain">This day is settled and locked. Reopen it under Settle to add a load.</Notice>
    );
  return (
    <Sheet heading="Start a load" className="print:hidden">
      <FarmForm
        key={loads.length}
        schema={startLoadForm(unitSystem)}
        refusal={refusal}
        entryId={entryId}
        submit="Start"
      >
        {(fields) => (
          <>
            <ChoiceField
              field={fields.kind}
              label="What is done with it"
              options={BY_PRODUCT_KINDS.map((value) => ({
                value,
                label: BY_PRODUCT_WORDS[value].name,
              }))}
            />
            <TextField field={fields.inMilligrams} label="Weight going in" />
            <TextField field={fields.bowlMilligrams} label="Of that, the bowl" hint="Leave empty for none" />
            <TextField field={fields.note} label="Note" hint="For example: dehydrator, 155 °F" />
          </>
        )}
      </FarmForm>
    </Sheet>
  );
}
