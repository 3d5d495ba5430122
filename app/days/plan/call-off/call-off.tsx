import { Link, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { callOffForm, DELETE_DEED } from "#app/days/plan/call-off/call-off-form.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Button, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { lotsInWords } from "#app/words/lot-words.ts";
import type { Route } from "./+types/call-off.ts";

export const meta = () => [{ title: "Call off a day · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  return {
    day: { id: day.id, processedOn: day.processedOn },
    birds: lotsInWords(lots),
    hasHappened: here.file.hasHappened(day.id),
    isSettled: day.settledEntryId !== undefined,
    hasBirds: here.file.pack.carcassCount(day.id) > 0,
    entryId: newEntryId(),
  };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, callOffForm);
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.callOff(sent.entry, day.id, sent.value.reason), {
    gone: { "": "This day is already called off" },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "birds-weighed": {
      "": "Birds of this day are weighed already. Remove their weights under Pack first, or settle the day with the birds that were done",
    },
    "has-happened": {
      "": "Something was recorded on this day meanwhile, so it can't be deleted. Call it off with a reason instead",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/days?off=${day.id}`, 303);
}

/** Calls a day off, its reason kept; or deletes one on which nothing has happened. */
export default function CallOff({ loaderData, actionData }: Route.ComponentProps) {
  const { day, birds, hasHappened, isSettled, hasBirds, entryId } = loaderData;
  const isLocked = isSettled || hasBirds;
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={birds} />
      <Sheet heading="Call off this day" className="max-w-prose">
        {isLocked && (
          <Notice>
            {isSettled
              ? "This day is settled and locked. Reopen it under Settle before you call it off."
              : "Birds of this day are weighed already. Remove their weights under Pack first, or settle the day with the birds that were done."}
          </Notice>
        )}
        {!isLocked && (
          <>
            <p className="pb-3">
              Its birds are free for another day, and it leaves the season, the lists, and the calendar files.
              If their feed was pulled, feed them again now. You can put the day back under Days.
            </p>
            {hasHappened && <p className="pb-3">What was tapped and noted on it is kept.</p>}
            <FarmForm
              schema={callOffForm}
              refusal={actionData}
              entryId={entryId}
              submit="Call off this day"
              beside={
                !hasHappened && (
                  <Button kind="plain" {...DELETE_DEED}>
                    Delete it instead
                  </Button>
                )
              }
            >
              {(fields) => <TextField field={fields.reason} label="Reason" hint="Such as heavy rain" />}
            </FarmForm>
            {!hasHappened && (
              <p className="pt-3 text-sm text-soft">
                Nothing has happened on this day yet, so it can also be deleted without a reason.
              </p>
            )}
          </>
        )}
        <p className="pt-3">
          <Link to={`/days/${day.id}/plan`} className="underline">
            Keep the day
          </Link>
        </p>
      </Sheet>
    </Page>
  );
}
