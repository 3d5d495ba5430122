import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { lengthWords, marksForm } from "#app/days/pack/marks-form.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Page, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import type { CarcassMark } from "#db/day/mark-queries.server.ts";
import type { Route } from "./+types/marks.ts";

export const meta = () => [{ title: "Breeding notes · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const marks = here.file.marking.marks(day.id);
  const marked = new Set(marks.map(({ birdNumber }) => birdNumber));
  const next = here.file.pack.carcasses(day.id).find(({ birdNumber }) => !marked.has(birdNumber))?.birdNumber;
  return {
    day,
    batchName: batchesInWords(lots),
    unitSystem: farm.unitSystem,
    marks,
    next,
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, marksForm(farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const { birdNumber, frame, keel, fleshing, legs, note } = sent.value;
  const outcome = here.file.marking.recordMark(sent.entry, day.id, {
    birdNumber,
    frameWidthMillimeters: frame,
    keelMillimeters: keel,
    fleshing,
    legs: legs ?? "",
    note: note ?? "",
  });
  const faults = faultsOf(outcome, {
    "no-such-bird": { birdNumber: `No bird ${birdNumber} was weighed on this day` },
  });
  return faults ? sent.refuse(faults) : redirect(`/days/${day.id}/pack/marks`, 303);
}

/** Frame, keel, fleshing and legs of single birds, for those who breed from what they learn at the table. */
export default function Marks({ loaderData, actionData }: Route.ComponentProps) {
  const { day, batchName, unitSystem, marks, next, entryId } = loaderData;
  const unit = unitSystem === "us" ? "in" : "cm";
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={`${batchName} · breeding notes`} />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Bird">
          <FarmForm
            key={marks.length}
            schema={marksForm(unitSystem)}
            refusal={actionData}
            entryId={entryId}
            defaults={{ birdNumber: next?.toString() }}
            submit="Save notes"
          >
            {(fields) => (
              <>
                <div className="grid gap-5 sm:grid-cols-2">
                  <TextField field={fields.birdNumber} label="Bird" inputMode="numeric" />
                  <TextField
                    field={fields.fleshing}
                    label="Fleshing"
                    hint="1 thin to 5 full"
                    inputMode="numeric"
                  />
                  <TextField field={fields.frame} label="Frame width" unit={unit} inputMode="decimal" />
                  <TextField field={fields.keel} label="Keel" unit={unit} inputMode="decimal" />
                </div>
                <TextField field={fields.legs} label="Legs" hint="Color, straightness" />
                <TextField field={fields.note} label="Other notes" />
              </>
            )}
          </FarmForm>
        </Sheet>
        <Sheet heading="Birds with notes" beside={`${marks.length}`}>
          {marks.length === 0 && (
            <p className="py-2">Every field is optional; the bird’s weight is already saved.</p>
          )}
          <ul>
            {marks.map((mark) => (
              <Marked key={mark.entryId} mark={mark} back={`/days/${day.id}/pack/marks`} />
            ))}
          </ul>
        </Sheet>
      </div>
    </Page>
  );
}

function Marked({ mark, back }: { mark: CarcassMark; back: string }) {
  const { isUs } = useShow();
  const words = [
    mark.frameWidthMillimeters !== undefined && `frame ${lengthWords(mark.frameWidthMillimeters, isUs)}`,
    mark.keelMillimeters !== undefined && `keel ${lengthWords(mark.keelMillimeters, isUs)}`,
    mark.fleshing !== undefined && `fleshing ${mark.fleshing}`,
    mark.legs,
    mark.note,
  ].filter(Boolean);
  return (
    <li className="flex items-baseline justify-between gap-3 border-b border-rule py-2 last:border-b-0">
      <span>
        Bird {mark.birdNumber}: {words.join(", ") || "no notes"}
      </span>
      <RemoveButton entryId={mark.entryId} back={back} what={`notes on bird ${mark.birdNumber}`} />
    </li>
  );
}
