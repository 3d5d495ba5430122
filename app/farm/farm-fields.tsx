import { type FarmFieldsProps, FieldSheet, type WithOurs } from "#app/farm/field-sheet.tsx";
import { UnitFields } from "#app/farm/unit-fields.tsx";
import { ChoiceField, SelectField, TextField, TickField } from "#app/ui/field.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";

export function FarmFields({
  fields,
  zones,
  locales,
}: FarmFieldsProps & {
  zones: readonly string[];
  locales: readonly { value: string; label: string }[];
}) {
  const show = useShow();
  return (
    <Sheet heading="Farm">
      <div className="grid gap-4">
        <TextField field={fields.name} label="Name of the farm" />
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.latitude}
            label="Latitude"
            hint="Decimal degrees, such as 43.9"
            inputMode="text"
          />
          <TextField
            field={fields.longitude}
            label="Longitude"
            hint="Negative west of Greenwich, such as -71.6"
            inputMode="text"
          />
        </div>
        <TextField
          field={fields.altitude}
          label="Altitude"
          hint={`For canning: ${show.altitude(310)}. Without it, jars are not offered`}
        />
        <SelectField
          field={fields.timeZone}
          label="Time zone"
          options={zones.map((zone) => ({ value: zone, label: zone }))}
        />
        <UnitFields fields={fields} locales={locales} />
      </div>
    </Sheet>
  );
}

export function ScalderFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <FieldSheet
      id="scalding"
      heading="Scalding and plucking"
      usedIn="the burner, the scald, and the line"
      fields={[
        fields.scalder,
        fields.scalderWatts,
        fields.fill,
        fields.tap,
        fields.scaldAtOnceCount,
        fields.pluckAtOnceCount,
        fields.circuitVolts,
        fields.breakerAmps,
      ]}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.scalder}
          label="Scalder volume"
          hint={`Leave blank to use our estimate (${show.volume(ours.scalderLiters)}); you can also enter liters, such as 60 l`}
        />
        <TextField
          field={fields.scalderWatts}
          label="Heating power, watts"
          hint={`Leave blank to use our estimate (${show.count(ours.scalderWatts.electric)} electric, ${show.count(ours.scalderWatts.propane)} propane)`}
          inputMode="numeric"
        />
      </div>
      <ChoiceField
        field={fields.scalderHeat}
        label="Heat source"
        options={[
          { value: "propane", label: "Propane burner" },
          { value: "electric", label: "Electric element" },
        ]}
      />
      <TickField field={fields.isScalderLidded} label="Lid on while heating" />
      <TickField field={fields.isScalderInsulated} label="Insulated walls" />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.tap}
          label="Tap water temperature"
          hint={`Leave blank to use our estimate (${show.temperature(ours.tapCelsius)})`}
        />
        <TextField
          field={fields.fill}
          label="Fill temperature"
          hint="If filled from the hot tap; leave blank to use the tap's"
        />
        <TextField
          field={fields.scaldAtOnceCount}
          label="Birds per scald"
          hint="In one dip"
          inputMode="numeric"
        />
        <TextField
          field={fields.pluckAtOnceCount}
          label="Birds per plucker load"
          hint="In one load"
          inputMode="numeric"
        />
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.circuitVolts}
          label="Circuit voltage"
          hint="For an electric element"
          unit="V"
          inputMode="numeric"
        />
        <TextField
          field={fields.breakerAmps}
          label="Breaker size"
          hint="As marked on the panel"
          unit="A"
          inputMode="numeric"
        />
      </div>
    </FieldSheet>
  );
}

export function ChillFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <FieldSheet
      id="chilling"
      heading="Chilling"
      usedIn="the ice and the chill"
      fields={[fields.tank, fields.iceBag, fields.jugCount, fields.jug, fields.madeIce]}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.tank}
          label="Total tank volume"
          hint={`Leave blank to use our estimate (${show.volume(ours.tankLiters)})`}
        />
        <TextField
          field={fields.iceBag}
          label="Weight of a bag of ice"
          hint={`Leave blank to use our estimate (${show.value(ours.bagKilograms, "kg")})`}
        />
        <TextField
          field={fields.jugCount}
          label="Water jugs you can freeze"
          hint="Sealed, in the tanks; they save ice"
          inputMode="numeric"
        />
        <TextField
          field={fields.jug}
          label="Volume of a jug"
          hint={`Leave blank to use our estimate (${show.volume(ours.jugMilliliters / 1000)})`}
        />
        <TextField
          field={fields.madeIce}
          label="Ice you make for a day"
          hint="With your own machine; leave blank for none"
        />
      </div>
      <ChoiceField
        field={fields.tankWall}
        label="Tanks"
        options={[
          { value: "insulated", label: "Insulated coolers" },
          { value: "thick", label: "Thick-walled tubs" },
          { value: "bare", label: "Bare metal" },
        ]}
      />
      <ChoiceField
        field={fields.chillMethod}
        label="Chilling method"
        options={[
          { value: "packed", label: "Packed in ice" },
          { value: "still", label: "Ice slush, stirred now and then" },
          { value: "agitated", label: "Ice slush, pumped or bubbled" },
        ]}
      />
    </FieldSheet>
  );
}
