import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { BATCH_TWICE } from "#app/days/plan/choices/day-form.ts";
import { ownersToChoose } from "#app/days/plan/choices/day-setting.server.ts";
import { tooManyBirds } from "#app/days/plan/choices/lot-form.ts";
import { bringLotForm } from "#app/days/plan/lots/add-lot-forms.ts";
import { broughtBirds } from "#app/days/plan/lots/brought-birds.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import { KIND_OPTIONS } from "#app/words/words.ts";
import type { Route } from "./+types/bring-lot.ts";

export const meta = () => [{ title: "Someone else's birds · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return {
    day,
    line: lotsInWords(lots),
    rule: farm.ruleForOthers,
    names: ownersToChoose(here).map(({ name }) => name),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, bringLotForm);
  if (!sent.ok) return sent.refusal;
  const outcome = broughtBirds(here, day, sent.entry, sent.value);
  const faults = faultsOf(outcome, {
    "more-than-alive": { birdCount: tooManyBirds(0) },
    "batch-twice": { "": BATCH_TWICE },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "name-taken": { ownerName: "There is already a batch of that name. Enter the name a little differently" },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/plan`, 303);
}

const OWNER_OPTIONS = [
  { value: "neighbor", label: "A neighbor", line: "brings their own birds" },
  { value: "household", label: "A household", line: "raises with you" },
] as const;

/** Birds that somebody brings to a day: the farm's own rule about them stands first. */
export default function BringLot({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line, rule, names, entryId } = loaderData;
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={line} />
      <Notice tone="stop">
        {rule === ""
          ? "Many local rules allow you to process only your own birds. Ask before you do, and write your rule down under Farm."
          : `Your rule: “${rule}” Make sure that it allows this.`}
      </Notice>
      <Sheet heading="Someone else's birds" className="max-w-prose">
        <FarmForm
          schema={bringLotForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{ malePercent: "50", ownerKind: "neighbor" }}
          submit="Add their birds"
        >
          {(fields) => (
            <>
              <TextField
                field={fields.ownerName}
                label="Whose birds?"
                hint={names.length > 0 ? `Known: ${names.join(", ")}` : "Their name, as you call them"}
              />
              <ChoiceField field={fields.ownerKind} label="Who are they?" options={OWNER_OPTIONS} />
              <ChoiceField field={fields.kind} label="Kind" options={KIND_OPTIONS} />
              <div className="grid gap-5 sm:grid-cols-3">
                <TextField field={fields.birdCount} label="Birds" inputMode="numeric" />
                <TextField field={fields.weeks} label="Age" unit="weeks" inputMode="numeric" />
                <TextField field={fields.malePercent} label="Males per 100" inputMode="numeric" />
              </div>
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
