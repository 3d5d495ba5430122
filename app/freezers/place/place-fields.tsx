import type { placeForm } from "#app/freezers/place/place-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField, TickField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { FREEZER_CELSIUS, SPARE_WATTS } from "#core/freezing/freezing-constants.ts";

interface PlaceFieldsProps {
  fields: Fields<ReturnType<typeof placeForm>>;
}

/** What can be said of a refrigerator or freezer; the rest of it is estimated. */
export function PlaceFields({ fields }: PlaceFieldsProps) {
  return (
    <>
      <TextField field={fields.name} label="Name" />
      <ChoiceField
        field={fields.kind}
        label="Type"
        options={[
          { value: "freezer", label: "Freezer" },
          { value: "fridge", label: "Refrigerator" },
          { value: "either", label: "Convertible", line: "a refrigerator that can be set to freeze" },
        ]}
      />
      <TextField
        field={fields.capacityCount}
        label="Capacity"
        unit="birds"
        hint="Leave empty to work it out from the volume"
        inputMode="numeric"
      />
      <FreezingFields fields={fields} />
    </>
  );
}

function FreezingFields({ fields }: PlaceFieldsProps) {
  const show = useShow();
  return (
    <fieldset className="grid gap-4 border-t border-rule pt-3">
      <legend className="pr-3 font-semibold">How it freezes</legend>
      <p className="text-sm text-soft">Leave a box empty to use our estimate.</p>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.airMillicelsius}
          label="Temperature inside"
          hint={`Our estimate for a freezer: ${show.temperature(FREEZER_CELSIUS)}`}
        />
        <TextField
          field={fields.platePerDay}
          label="Freezes per day, from its rating plate"
          unit={show.weightUnit}
          inputMode="decimal"
        />
        <TextField
          field={fields.spareWatts}
          label="Or its cooling power"
          unit="W"
          hint={`Our estimate: ${SPARE_WATTS} W. Household chests and uprights manage 40 to 220`}
          inputMode="numeric"
        />
        <TextField
          field={fields.shelfArea}
          label="Area of its shelves or floor"
          unit={show.isUs ? "sq ft" : "m²"}
          hint="What one layer of packs can lie on"
          inputMode="decimal"
        />
        <TextField
          field={fields.volumeMilliliters}
          label="Volume"
          hint={show.isUs ? "5 gal, or 200 l" : "200 l"}
        />
      </div>
      <TickField field={fields.hasFan} label="A fan moves the air in it" />
    </fieldset>
  );
}
