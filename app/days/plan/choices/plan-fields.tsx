import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, CountField, TextField, TickField } from "#app/ui/field.tsx";
import { plural } from "#app/words/show.ts";
import { PLUCK_OPTIONS, SCALD_OPTIONS, WHICH_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/words/words.ts";

/** What a person chooses for a day. */
export function PlanFields({
  fields,
  freeCount,
  people,
  onPeople,
}: {
  fields: Fields<ReturnType<typeof dayForm>>;
  freeCount: number;
  people: number;
  onPeople: (people: number) => void;
}) {
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <TextField field={fields.processedOn} label="Date" type="date" />
        <TextField field={fields.startTime} label="First bird" type="time" />
        <TextField
          field={fields.birdCount}
          label={`Birds to process, of ${plural(freeCount, "free", "free")}`}
          inputMode="numeric"
        />
        <TextField field={fields.cutUpCount} label="Birds to cut up" inputMode="numeric" />
        <CountField field={fields.peopleCount} label="People" count={people} onCount={onPeople} />
        <TextField field={fields.coneCount} label="Cones" inputMode="numeric" />
        <TextField field={fields.tablePlaceCount} label="Evisceration table places" inputMode="numeric" />
        <TextField field={fields.pinPlaceCount} label="Pinning table places" inputMode="numeric" />
        <TextField field={fields.breakMinutes} label="Break" unit="min" inputMode="numeric" />
        <TextField field={fields.breakAt} label="Break at" type="time" />
        <TextField
          field={fields.changeWaterBirds}
          label="Change scald water every"
          unit="birds"
          inputMode="numeric"
        />
        <TextField field={fields.brine} label="Brine to" unit="% salt" inputMode="decimal" />
      </div>
      <div className="grid sm:grid-cols-2">
        <TickField field={fields.keepsGiblets} label="Keep hearts, livers, and gizzards" />
        <TickField field={fields.keepsFeet} label="Keep the feet" hint="adds a minute per bird" />
        <TickField
          field={fields.packsSameDay}
          label="Pack on the same day"
          hint="with this crew, as soon as they are cold"
        />
        <TickField field={fields.isRainExpected} label="Working in rain" hint="handwork a third slower" />
      </div>
      <ChoiceField field={fields.pluckBy} label="Plucking" options={PLUCK_OPTIONS} />
      <ChoiceField field={fields.whichBirds} label="Which birds?" options={WHICH_OPTIONS} />
      <ChoiceField field={fields.scaldMethod} label="Scald" options={SCALD_OPTIONS} />
      <ChoiceField field={fields.withdrawalMethod} label="Feed withdrawal" options={WITHDRAWAL_OPTIONS} />
    </>
  );
}
