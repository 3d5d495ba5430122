import { packForm } from "#app/days/pack/pack-form.ts";
import { placeOptions } from "#app/days/pack/place-options.ts";
import { PURPOSES } from "#app/days/pack/purposes.ts";
import { FarmForm, type Refusal } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import type { Route } from "./+types/correct-pack.ts";

type CorrectBirdProps = Route.ComponentProps["loaderData"] & { refusal: Refusal | undefined };

/** All that is said of one whole bird, to be said anew. */
export function CorrectBird({ pack, lots, places, unitSystem, entryId, refusal }: CorrectBirdProps) {
  return (
    <FarmForm
      schema={packForm(unitSystem)}
      refusal={refusal}
      entryId={entryId}
      defaults={{
        birdNumber: String(pack.birdNumber),
        lotId: String(pack.lotId),
        weight: pack.weightMilligrams === undefined ? "" : pack.asTyped,
        purpose: pack.purpose,
        reason: pack.reason,
        placeId: String(pack.placeId ?? ""),
      }}
      submit="Save correction"
    >
      {(fields) => (
        <>
          <TextField field={fields.weight} label="Weight" inputMode="decimal" />
          <ChoiceField field={fields.purpose} label="Use" options={PURPOSES} />
          <div className="only-condemned">
            <TextField field={fields.reason} label="Reason, if condemned" />
          </div>
          <div className="grid gap-4 sm:grid-cols-2">
            <TextField field={fields.birdNumber} label="Bird" hint="Number today" inputMode="numeric" />
            {lots.length > 1 && (
              <SelectField
                field={fields.lotId}
                label="Lot"
                options={lots.map(({ id, batchName }) => ({ value: String(id), label: batchName }))}
              />
            )}
            {places.length > 0 && (
              <SelectField field={fields.placeId} label="Storage" options={placeOptions(places)} />
            )}
          </div>
        </>
      )}
    </FarmForm>
  );
}
