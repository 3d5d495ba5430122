import { type ableForm, GRANTS, WEEKDAYS } from "#app/season/people/people-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { STATION_WORDS } from "#app/ui/words.ts";

/** What somebody can and may do, and when. A plan never puts them where a rule keeps them from. */
export function AbleFields({ fields }: { fields: Fields<typeof ableForm> }) {
  return (
    <>
      <fieldset className="grid gap-1">
        <legend className="font-semibold">Usually can on</legend>
        <div className="flex flex-wrap gap-x-6">
          {WEEKDAYS.map(({ field, name }) => (
            <TickField key={field} field={fields[field]} label={name} />
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-2 gap-4">
        <TextField field={fields.fromTime} label="There from" hint="If not from the first" type="time" />
        <TextField field={fields.toTime} label="There until" hint="If not to the last" type="time" />
      </div>
      <TextField
        field={fields.handsPercent}
        label="Does, where a practiced adult does 100"
        hint="100 for practiced hands, 80 for somebody new, 50 for a child at the feet and heads"
        inputMode="numeric"
      />
      <fieldset className="grid gap-1">
        <legend className="font-semibold">Is never put at</legend>
        <div className="flex flex-wrap gap-x-6">
          <TickField field={fields.noKnives} label="Knives" />
          <TickField field={fields.noScald} label="The scald" />
          <TickField field={fields.noLifting} label="Lifting" />
        </div>
      </fieldset>
      <TextField
        field={fields.bornYear}
        label="Year of birth"
        hint="Leave blank for adults. Nobody under 16 is put at blades, hot water or the plucker; your law may ask for more"
        inputMode="numeric"
      />
      <fieldset className="grid gap-1">
        <legend className="font-semibold">With an adult beside them, may work at</legend>
        <p className="text-sm text-soft">
          For one young person of the farm. The plan keeps an adult there. Local law on young workers decides.
        </p>
        <div className="flex flex-wrap gap-x-6">
          {GRANTS.map(({ station, field }) => (
            <TickField key={station} field={fields[field]} label={STATION_WORDS[station]} />
          ))}
        </div>
      </fieldset>
    </>
  );
}
