import type { dayForm } from "#app/days/plan/day-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { plural } from "#app/ui/show.ts";
import { SCALD_OPTIONS, WHICH_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/ui/words.ts";

/** What a person chooses for a day. */
export function PlanFields({
  fields,
  freeCount,
}: {
  fields: Fields<ReturnType<typeof dayForm>>;
  freeCount: number;
}) {
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <TextField field={fields.processedOn} label="Day" type="date" />
        <TextField field={fields.startTime} label="First bird" type="time" />
        <TextField
          field={fields.birdCount}
          label={`Birds, of ${plural(freeCount, "free", "free")}`}
          inputMode="numeric"
        />
        <TextField field={fields.cutUpCount} label="Of them cut up" inputMode="numeric" />
        <TextField field={fields.peopleCount} label="People" inputMode="numeric" />
        <TextField field={fields.coneCount} label="Cones" inputMode="numeric" />
        <TextField field={fields.tablePlaceCount} label="Gut table places" inputMode="numeric" />
        <TextField field={fields.breakMinutes} label="Breaks in all" unit="min" inputMode="numeric" />
      </div>
      <ChoiceField field={fields.whichBirds} label="Which birds" options={WHICH_OPTIONS} />
      <ChoiceField field={fields.scaldSchool} label="Scald" options={SCALD_OPTIONS} />
      <ChoiceField field={fields.withdrawalSchool} label="Feed pulled" options={WITHDRAWAL_OPTIONS} />
    </>
  );
}
