import { redirect } from "react-router";
import { chooseForm } from "#app/days/cut/choose-form.ts";
import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { EmptyPlace, Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { isWholeHere } from "#core/packing/choose-birds.ts";
import type { Route } from "./+types/choose.ts";

export const meta = () => [{ title: "Choose birds to cut up · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  return {
    day,
    line: batchesInWords(lots),
    weights: here.file.pack
      .carcasses(day.id)
      .filter(isWholeHere)
      .map(({ weightMilligrams }) => weightMilligrams ?? 0)
      .toSorted((one, other) => one - other),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, chooseForm);
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.pack.cutUpSome(sent.entry, day.id, sent.value), {
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "too-few-birds": {
      birds: "There are fewer whole birds than that. The number beside the heading says how many",
    },
  });
  if (faults) return sent.refuse(faults);
  return redirect(`/days/${day.id}/cut?chosen=${sent.entry.entryId}`, 303);
}

export default function Choose({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line, weights, entryId } = loaderData;
  const show = useShow();
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <CutTabs dayId={day.id} />
      {weights.length === 0 ? (
        <EmptyPlace heading="No whole birds weighed yet">
          <p>Weigh birds under Pack first. Then say here how many of the biggest to cut up.</p>
        </EmptyPlace>
      ) : (
        <Sheet
          heading="Cut up more birds"
          beside={plural(weights.length, "whole bird")}
          className="max-w-prose"
        >
          <p className="py-1">
            They weigh from {show.bird(weights[0]!)} to {show.bird(weights.at(-1)!)}. Birds that were marked
            at the table have their own list, with the band and the reason.
          </p>
          <FarmForm
            schema={chooseForm}
            refusal={actionData}
            entryId={entryId}
            defaults={{ which: "biggest" }}
            submit="Cut these up"
          >
            {(fields) => (
              <>
                <TextField field={fields.birds} label="How many" inputMode="numeric" autoFocus />
                <ChoiceField
                  field={fields.which}
                  label="Which"
                  options={[
                    { value: "biggest", label: "The biggest", line: "more meat for each cut" },
                    { value: "smallest", label: "The smallest", line: "keeps the big ones whole" },
                  ]}
                />
              </>
            )}
          </FarmForm>
        </Sheet>
      )}
    </Page>
  );
}
