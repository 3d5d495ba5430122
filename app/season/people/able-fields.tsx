import { GRANTS, type personForm, WEEKDAYS } from "#app/season/people/people-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { TextField, TickField } from "#app/ui/field.tsx";
import { STATION_WORDS } from "#app/words/words.ts";

/** What someone can and may do, and when. A plan never puts them where a rule keeps them from. */
export function AbleFields({ fields }: { fields: Omit<Fields<typeof personForm>, "seen" | "name"> }) {
  return (
    <>
      <fieldset className="grid gap-1">
        <legend className="font-semibold">Usually available on</legend>
        <div className="flex flex-wrap gap-x-6">
          {WEEKDAYS.map(({ field, name }) => (
            <TickField key={field} field={fields[field]} label={name} />
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-2 gap-4">
        <TextField
          field={fields.fromTime}
          label="Arrives at"
          hint="Leave blank for the start of the day"
          type="time"
        />
        <TextField
          field={fields.toTime}
          label="Leaves at"
          hint="Leave blank for the end of the day"
          type="time"
        />
      </div>
      <TextField
        field={fields.handsPercent}
        label="Speed, where a practiced adult is 100"
        hint="100 for practiced, 80 for someone new"
        inputMode="numeric"
      />
      <fieldset className="grid gap-1">
        <legend className="font-semibold">Never assign to</legend>
        <div className="flex flex-wrap gap-x-6">
          <TickField field={fields.noKnives} label="Knives" />
          <TickField field={fields.noScald} label="The scald" />
          <TickField field={fields.noLifting} label="Lifting" />
        </div>
      </fieldset>
      <TextField
        field={fields.bornYear}
        label="Year of birth"
        hint="Leave blank for adults. No one under 16 is assigned to blades, hot water, or the plucker; your law may require more"
        inputMode="numeric"
      />
      <fieldset className="grid gap-1">
        <legend className="font-semibold">May work with an adult beside them at</legend>
        <p className="text-sm text-soft">
          For one young person on the farm. The plan keeps an adult there. Follow local law on young workers.
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
