import type { OURS } from "#app/server/farm-means.server.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField, TickField } from "#app/ui/field.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRACTICE_OPTIONS } from "#app/ui/words.ts";
import type { yardForm } from "#app/yard/yard-form.ts";
import { CURRENCIES } from "#core/quantity/currency.ts";

interface YardFieldsProps {
  fields: Fields<ReturnType<typeof yardForm>>;
}
type WithOurs = YardFieldsProps & { ours: typeof OURS };

export function FarmFields({ fields, zones }: YardFieldsProps & { zones: readonly string[] }) {
  return (
    <Sheet heading="The farm">
      <div className="grid gap-4">
        <TextField field={fields.name} label="Name of the farm" />
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.latitude}
            label="Latitude"
            hint="As a map says it, such as 43.9"
            inputMode="text"
          />
          <TextField
            field={fields.longitude}
            label="Longitude"
            hint="West is negative, such as -71.6"
            inputMode="text"
          />
        </div>
        <SelectField
          field={fields.timeZone}
          label="Time zone"
          options={zones.map((zone) => ({ value: zone, label: zone }))}
        />
        <ChoiceField
          field={fields.unitSystem}
          label="Units"
          options={[
            { value: "us", label: "Pounds, °F, gallons" },
            { value: "metric", label: "Kilograms, °C, liters" },
          ]}
        />
        <SelectField
          field={fields.currency}
          label="Money"
          options={CURRENCIES.map((value) => ({ value, label: value }))}
        />
      </div>
    </Sheet>
  );
}

export function DayFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <Sheet heading="The day and its cost" beside="left empty, our guess stands">
      <div className="grid gap-4">
        <ChoiceField field={fields.practice} label="How often you do this" options={PRACTICE_OPTIONS} />
        <TickField
          field={fields.usesOwnDays}
          label="Learn from your own days"
          hint="what they took moves our times, little by little; a plan says by how much"
        />
        <TickField
          field={fields.arePensLit}
          label="A lamp burns in the pens"
          hint="until the feed is pulled; without it birds stop eating at dusk"
        />
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.air}
            label="Air on the day"
            hint={`Ours: ${show.temperature(ours.airCelsius)}`}
          />
          <TextField
            field={fields.tap}
            label="Water from the tap"
            hint={`Ours: ${show.temperature(ours.tapCelsius)}`}
          />
          <TextField
            field={fields.hourRate}
            label="An hour of your time"
            hint={`Ours: ${show.money(ours.centsAnHour)}`}
          />
          <TextField
            field={fields.birdsAYearCount}
            label="Birds a year"
            hint={`Ours: ${ours.birdsAYear}; spreads kit over its years`}
            inputMode="numeric"
          />
        </div>
      </div>
    </Sheet>
  );
}

export function ScalderFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <Sheet heading="Scald and pluck">
      <div className="grid gap-4">
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.scalder}
            label="Water in the scalder"
            hint={`Ours: ${show.volume(ours.scalderLiters)}; 60 l can be typed too`}
          />
          <TextField
            field={fields.scalderWatts}
            label="Heat, in watts"
            hint={`Ours: ${show.count(ours.scalderWatts.electric)} electric, ${show.count(ours.scalderWatts.propane)} propane`}
            inputMode="numeric"
          />
        </div>
        <ChoiceField
          field={fields.scalderHeat}
          label="Heated by"
          options={[
            { value: "propane", label: "Propane burner" },
            { value: "electric", label: "Electric element" },
          ]}
        />
        <TickField field={fields.isScalderLidded} label="It has a lid while it heats" />
        <TickField field={fields.isScalderInsulated} label="Its walls are insulated" />
        <div className="grid gap-4 sm:grid-cols-3">
          <TextField field={fields.fill} label="Filled at" hint="If from the hot tap" />
          <TextField
            field={fields.scaldAtOnceCount}
            label="Scalded at once"
            hint="Birds in a dip"
            inputMode="numeric"
          />
          <TextField
            field={fields.pluckAtOnceCount}
            label="Plucked at once"
            hint="Birds in a load"
            inputMode="numeric"
          />
        </div>
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.circuitVolts}
            label="Its circuit"
            hint="For an electric element"
            unit="V"
            inputMode="numeric"
          />
          <TextField
            field={fields.breakerAmps}
            label="Its breaker"
            hint="On the fuse box"
            unit="A"
            inputMode="numeric"
          />
        </div>
      </div>
    </Sheet>
  );
}

export function ChillFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <Sheet heading="Chill">
      <div className="grid gap-4">
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            field={fields.tank}
            label="Room in all tanks"
            hint={`Ours: ${show.volume(ours.tankLiters)}`}
          />
          <TextField
            field={fields.iceBag}
            label="A bag of ice"
            hint={`Ours: ${show.value(ours.bagKilograms, "kg")}`}
          />
          <TextField
            field={fields.jugCount}
            label="Water jugs you can freeze"
            hint="Closed, in the tanks; they save ice"
            inputMode="numeric"
          />
          <TextField
            field={fields.jug}
            label="A jug holds"
            hint={`Ours: ${show.volume(ours.jugMilliliters / 1000)}`}
          />
          <TextField
            field={fields.madeIce}
            label="Ice you make for a day"
            hint="By a machine of your own; empty for none"
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
          label="How the slush is kept"
          options={[
            { value: "packed", label: "Packed in ice" },
            { value: "still", label: "Slush, stirred now and then" },
            { value: "agitated", label: "Pumped or bubbled" },
          ]}
        />
      </div>
    </Sheet>
  );
}
