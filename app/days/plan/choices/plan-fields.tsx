import type { dayForm } from "#app/days/plan/choices/day-form.ts";
import { LotFields, type LotFieldset, lotsOfForm } from "#app/days/plan/choices/lot-fields.tsx";
import type { LotSetting } from "#app/days/plan/choices/lot-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, CountField, TextField, TickField } from "#app/ui/field.tsx";
import { PLUCK_OPTIONS } from "#app/words/words.ts";

interface PlanFieldsProps {
  fields: Fields<ReturnType<typeof dayForm>>;
  lots: readonly LotSetting[];
  owners: readonly { readonly id: number; readonly name: string }[];
  /** Whether the day is kept already, so that its lots can be moved and taken off. */
  isKept: boolean;
  people: number;
  onPeople: (people: number) => void;
}

/** What a person chooses for a day, and for each of its lots. */
export function PlanFields({ fields, lots, owners, isKept, people, onPeople }: PlanFieldsProps) {
  const sets = lotsOfForm(fields);
  const [only] = sets.length === 1 ? sets : [];
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <TextField field={fields.processedOn} label="Date" type="date" />
        <TextField field={fields.startTime} label="First bird" type="time" />
        {only && <Counts lot={only} freeCount={lots[0]!.freeCount} />}
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
        <TickField
          field={fields.packsSameDay}
          label="Pack on the same day"
          hint="with this crew, as soon as they are cold"
        />
        <TickField field={fields.isRainExpected} label="Working in rain" hint="handwork a third slower" />
        <TickField field={fields.rinsesFirst} label="Rinse before the scald" hint="keeps its water cleaner" />
        <TickField
          field={fields.coolsAfter}
          label="Cool dip after the scald"
          hint="stops the skin from cooking"
        />
      </div>
      <ChoiceField field={fields.pluckBy} label="Plucking" options={PLUCK_OPTIONS} />
      {/* The Enter key presses a form's first button, which must be the one that only saves. */}
      {isKept && !only && <button type="submit" tabIndex={-1} aria-hidden="true" className="sr-only" />}
      {sets.map((lot, index) => (
        <LotFields
          key={lots[index]?.batchId ?? index}
          lot={lot}
          setting={lots[index]!}
          place={index}
          isOnly={sets.length === 1}
          isKept={isKept}
          owners={owners}
          counts={<Counts lot={lot} freeCount={lots[index]!.freeCount} />}
        />
      ))}
    </>
  );
}

function Counts({ lot, freeCount }: { lot: LotFieldset; freeCount: number }) {
  return (
    <>
      <TextField field={lot.birdCount} label={`Birds to process, of ${freeCount} free`} inputMode="numeric" />
      <TextField field={lot.cutUpCount} label="Birds to cut up" inputMode="numeric" />
    </>
  );
}
