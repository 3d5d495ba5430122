import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { choice, money, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { weight } from "#app/ui/read/read-measure.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { KIND_OPTIONS } from "#app/words/words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import type { UnitSystem } from "#core/quantity/read-weight.ts";
import type { Route } from "./+types/add-past-batch.ts";

export const meta = () => [{ title: "Past batch · Pale Morning" }];

/** A whole batch together, kg. */
const LOT_RANGE = [0.1, 1_000_000] as const;

function pastBatchForm(unitSystem: UnitSystem, today: string) {
  const total = (ask: string, what: string) =>
    weight({ unitSystem, ask, range: LOT_RANGE, what, isBulk: true });
  return z
    .object({
      name: words(60, "Enter the batch's name"),
      kind: choice(BIRD_KINDS, "Choose the closest kind"),
      finishedOn: localDay({
        ask: "Enter the date the last bird was processed",
        to: { day: today, problem: `That date is in the future; today is ${today}` },
      }),
      dressedCount: wholeNumber({ least: 1, most: 100_000, ask: "Enter how many birds were processed" }),
      dressed: total("Enter their total dressed weight", "a batch"),
      cost: money("Enter the total cash cost"),
      live: optional(total("", "a batch")),
      feed: optional(total("", "a batch's feed")),
    })
    .superRefine(({ dressed, live }, context) => {
      if (live !== undefined && live <= dressed) {
        context.addIssue({
          code: "custom",
          path: ["live"],
          message: "Live weight must be more than dressed weight",
        });
      }
    });
}

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  return { entryId: newEntryId(), today: localDayOf(here.now(), farm.timeZone), unitSystem: farm.unitSystem };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const sent = await submitted(
    here,
    request,
    pastBatchForm(farm.unitSystem, localDayOf(here.now(), farm.timeZone)),
  );
  if (!sent.ok) return sent.refusal;
  const { name, kind, finishedOn, dressedCount, dressed, cost, live, feed } = sent.value;
  const outcome = here.file.books.addPastBatch(sent.entry, {
    name,
    kind,
    finishedOn,
    dressedCount,
    dressedMilligrams: dressed,
    costCents: cost,
    liveMilligrams: live,
    feedMilligrams: feed,
  });
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect(`/books?year=${finishedOn.slice(0, 4)}`, 303);
}

export default function AddPastBatch({
  loaderData: { entryId, today, unitSystem },
  actionData,
}: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Past batch" line="totals only, for comparison" />
      <Sheet heading="Totals" className="max-w-prose">
        <FarmForm
          schema={pastBatchForm(unitSystem, today)}
          refusal={actionData}
          entryId={entryId}
          submit="Add past batch"
        >
          {(fields) => (
            <>
              <TextField field={fields.name} label="Name" />
              <ChoiceField field={fields.kind} label="Kind" options={KIND_OPTIONS} />
              <TextField field={fields.finishedOn} label="Last processing date" type="date" />
              <div className="grid gap-4 sm:grid-cols-2">
                <TextField field={fields.dressedCount} label="Birds processed" inputMode="numeric" />
                <TextField
                  field={fields.dressed}
                  label="Total dressed weight"
                  unit={show.weightUnit}
                  inputMode="decimal"
                />
                <TextField field={fields.cost} label="Total cash cost" inputMode="decimal" />
                <TextField
                  field={fields.live}
                  label="Total live weight"
                  hint="Optional"
                  unit={show.weightUnit}
                  inputMode="decimal"
                />
                <TextField
                  field={fields.feed}
                  label="Total feed"
                  hint="Optional"
                  unit={show.weightUnit}
                  inputMode="decimal"
                />
              </div>
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
