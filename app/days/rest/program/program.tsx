import { redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { nameOf, programForm, SLOTS, type Slot } from "#app/days/rest/program/program-form.ts";
import { restOfDay } from "#app/server/day/rest-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { ENTRY_USED, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { Page, Sheet } from "#app/ui/sheet.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { COVER_OPTIONS, REST_METHOD_OPTIONS } from "#app/words/packing/rest-words.ts";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/program.ts";

export const meta = () => [{ title: "Plan the rest · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  return {
    day,
    lots: lots.map(({ id, batchName, birds }) => ({ id, batchName, birds })),
    parts: restOfDay(here, farm, day).parts,
    places: here.file.places().map(({ id, name }) => ({ id, name })),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, programForm);
  if (!sent.ok) return sent.refusal;
  const parts = sent.value.parts.map(({ lotId, ...part }) => ({ ...part, lotId: lotId ?? lots[0]!.id }));
  for (const { id, batchName, birds } of lots) {
    const own = parts.filter(({ lotId }) => lotId === id);
    const resting = own.reduce((sum, part) => sum + part.birds, 0);
    if (resting > birds)
      return sent.refuse({
        [nameOf(own.at(-1)!.slot, "birds")]:
          `That makes ${resting}; ${batchName} has ${plural(birds, "bird")} on this day`,
      });
  }
  const outcome = here.file.resting.saveProgram(
    sent.entry,
    day.id,
    parts.map(({ slot: _slot, ...part }) => part),
  );
  if (outcome.recorded) return redirect(`/days/${day.id}/rest`, 303);
  return sent.refuse({
    "": outcome.reason === "entry-used" ? ENTRY_USED : "A lot was taken off this day. Reload the page",
  });
}

export default function Program({ loaderData, actionData }: Route.ComponentProps) {
  const { day, lots, parts, entryId } = loaderData;
  const defaults = Object.fromEntries(
    SLOTS.flatMap((slot, index) => {
      const part = parts[index];
      return [
        [nameOf(slot, "birds"), part ? String(part.birds) : ""],
        [nameOf(slot, "lotId"), String(part?.lotId ?? lots[0]!.id)],
        [nameOf(slot, "method"), part?.method ?? "two-days"],
        [nameOf(slot, "cover"), part?.cover ?? "open"],
        [nameOf(slot, "placeId"), String(part?.placeId ?? "")],
        [nameOf(slot, "salt"), tenths(part?.saltPermille)],
        [nameOf(slot, "sugar"), tenths(part?.sugarPermille)],
        [nameOf(slot, "brineHours"), part?.brineHours?.toString() ?? ""],
      ];
    }),
  );
  return (
    <Page>
      <DayHead dayId={day.id} processedOn={day.processedOn} line={batchesInWords(lots)} />
      <p>
        Parts take the birds of a lot in the order of the kill. A salt brine is by weight, never by the spoon.
        Leave the birds of a part empty to leave it out.
      </p>
      <FarmForm
        schema={programForm}
        refusal={actionData}
        entryId={entryId}
        defaults={defaults}
        submit="Save the rest"
      >
        {(fields) => (
          <div className="grid gap-5 lg:grid-cols-2">
            {SLOTS.map((slot) => (
              <OnePart key={slot} slot={slot} fields={fields} {...loaderData} />
            ))}
          </div>
        )}
      </FarmForm>
    </Page>
  );
}

const tenths = (permille: number | undefined) => (permille === undefined ? "" : String(permille / 10));

interface OnePartProps extends Pick<Route.ComponentProps["loaderData"], "lots" | "places"> {
  slot: Slot;
  fields: Fields<typeof programForm>;
}

function OnePart({ slot, fields, lots, places }: OnePartProps) {
  const of = (field: Parameters<typeof nameOf>[1]) => fields[nameOf(slot, field)];
  return (
    <Sheet heading={`Part ${slot}`}>
      <div className="grid gap-4 py-2">
        <div className="grid grid-cols-2 gap-4">
          <TextField field={of("birds")} label="Birds" inputMode="numeric" />
          {lots.length > 1 && (
            <SelectField
              field={of("lotId")}
              label="Lot"
              options={lots.map(({ id, batchName, birds }) => ({
                value: String(id),
                label: `${batchName}, ${birds}`,
              }))}
            />
          )}
        </div>
        <ChoiceField field={of("method")} label="Rest, from the kill" options={REST_METHOD_OPTIONS} />
        <ChoiceField field={of("cover")} label="Cover" options={COVER_OPTIONS} />
        {places.length > 0 && (
          <SelectField
            field={of("placeId")}
            label="Where"
            options={[
              { value: "", label: "in the tank, in ice" },
              ...places.map(({ id, name }) => ({ value: String(id), label: name })),
            ]}
          />
        )}
        <div className="grid grid-cols-3 items-end gap-3">
          <TextField field={of("salt")} label="Brine: salt" unit="%" inputMode="decimal" />
          <TextField field={of("sugar")} label="Sugar" unit="%" inputMode="decimal" />
          <TextField field={of("brineHours")} label="For" unit="h" inputMode="numeric" />
        </div>
      </div>
    </Sheet>
  );
}
