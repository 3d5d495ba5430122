import { data, redirect } from "react-router";
import { endLoadForm } from "#app/days/cut/by-products/by-product-form.ts";
import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { BY_PRODUCT_WORDS } from "#app/words/packing/by-product-words.ts";
import { byProductRow } from "#core/packing/by-products.ts";
import type { ByProduct } from "#db/pack/by-product-queries.server.ts";
import type { Route } from "./+types/end-load.ts";

export const meta = () => [{ title: "Weigh what came out · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  return {
    day,
    load: requireLoad(here, day.id, params.loadId),
    unitSystem: farm.unitSystem,
    entryId: newEntryId(),
  };
}

/** @throws a 404 page if the day has no such load */
function requireLoad(here: FarmContext, dayId: number, text: string): ByProduct {
  const id = idFrom(text, "load");
  const load = here.file.byProducts.loads(dayId).find((one) => one.id === id);
  if (!load) throw data("That load does not exist, or was removed.", { status: 404 });
  return load;
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const load = requireLoad(here, day.id, params.loadId);
  const sent = await submitted(here, request, endLoadForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { outMilligrams, bowlMilligrams = 0, milliliters = 0 } = sent.value;
  if (bowlMilligrams >= outMilligrams)
    return sent.refuse({ bowlMilligrams: "The bowl weighs no less than the full one. Check both weights" });
  const outcome = here.file.byProducts.end(sent.entry, day.id, load.id, {
    outMilligrams: outMilligrams - bowlMilligrams,
    milliliters,
  });
  const faults = faultsOf(outcome, {
    "load-unknown": { "": "That load was removed" },
    "ended-already": { "": "What came of this load was weighed already. Remove that first" },
    "more-than-went-in": {
      outMilligrams:
        "More comes out than went in. Check the weight, its unit, and whether the bowl is taken off",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/cut/by-products`, 303);
}

export default function EndLoad({ loaderData, actionData }: Route.ComponentProps) {
  const { day, load, unitSystem, entryId } = loaderData;
  const show = useShow();
  const { name, comesOut, caution } = BY_PRODUCT_WORDS[load.kind];
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={name} />
      <CutTabs dayId={day.id} />
      <Sheet heading={name} beside={`${show.bulk(load.inMilligrams)} went in`} className="max-w-prose">
        <FarmForm schema={endLoadForm(unitSystem)} refusal={actionData} entryId={entryId} submit="Save">
          {(fields) => (
            <>
              <TextField field={fields.outMilligrams} label={`Weight, ${comesOut}`} autoFocus />
              <TextField
                field={fields.bowlMilligrams}
                label="Of that, the bowl"
                hint="Leave empty for none"
              />
              {byProductRow(load.kind).hasVolume && (
                <TextField
                  field={fields.milliliters}
                  label="Broth"
                  hint={show.isUs ? "2 qt, 1 gal" : "1.5 l"}
                />
              )}
            </>
          )}
        </FarmForm>
        {caution && <p className="py-2 text-sm">{caution}.</p>}
      </Sheet>
    </Page>
  );
}
