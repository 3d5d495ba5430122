import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, CountField, TextField, TickField } from "#app/ui/field.tsx";
import { plural } from "#app/ui/show.ts";
import { PLUCK_OPTIONS, SCALD_OPTIONS, WHICH_OPTIONS, WITHDRAWAL_OPTIONS } from "#app/ui/words.ts";

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
        <TextField field={fields.processedOn} label="Day" type="date" />
        <TextField field={fields.startTime} label="First bird" type="time" />
        <TextField
          field={fields.birdCount}
          label={`Birds, of ${plural(freeCount, "free", "free")}`}
          inputMode="numeric"
        />
        <TextField field={fields.cutUpCount} label="Of them cut up" inputMode="numeric" />
        <CountField field={fields.peopleCount} label="People" count={people} onCount={onPeople} />
        <TextField field={fields.coneCount} label="Cones" inputMode="numeric" />
        <TextField field={fields.tablePlaceCount} label="Gut table places" inputMode="numeric" />
        <TextField field={fields.pinPlaceCount} label="Places at the pins" inputMode="numeric" />
        <TextField field={fields.breakMinutes} label="Break" unit="min" inputMode="numeric" />
        <TextField field={fields.breakAt} label="Break at" type="time" />
        <TextField
          field={fields.changeWaterBirds}
          label="Water changed every"
          unit="birds"
          inputMode="numeric"
        />
        <TextField field={fields.brine} label="Brined to" unit="% salt" inputMode="decimal" />
      </div>
      <div className="grid sm:grid-cols-2">
        <TickField field={fields.keepsGiblets} label="Keep hearts, livers and gizzards" />
        <TickField field={fields.keepsFeet} label="Keep the feet" hint="a minute more a bird, at the pins" />
        <TickField
          field={fields.packsSameDay}
          label="Pack on the same day"
          hint="as soon as they are cold, by this crew"
        />
        <TickField field={fields.isRainExpected} label="Rain on the line" hint="hands a third slower" />
      </div>
      <ChoiceField field={fields.pluckBy} label="Plucked" options={PLUCK_OPTIONS} />
      <ChoiceField field={fields.whichBirds} label="Which birds" options={WHICH_OPTIONS} />
      <ChoiceField field={fields.scaldSchool} label="Scald" options={SCALD_OPTIONS} />
      <ChoiceField field={fields.withdrawalSchool} label="Feed pulled" options={WITHDRAWAL_OPTIONS} />
    </>
  );
}
