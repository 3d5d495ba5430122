import { FieldSheet, type WithOurs } from "#app/farm/field-sheet.tsx";
import { ChoiceField, TextField, TickField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRACTICE_OPTIONS } from "#app/words/words.ts";

/** What every plan of a day begins with. */
export function PlanningFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <FieldSheet
      id="planning"
      heading="Birds, crew, and weather"
      usedIn="every plan and the season"
      fields={[fields.air, fields.crateBirdsCount, fields.ruleForOthers]}
    >
      <ChoiceField field={fields.practice} label="How often do you process?" options={PRACTICE_OPTIONS} />
      <TickField
        field={fields.usesOwnDays}
        label="Learn from your own days"
        hint="adjusts our times gradually to match yours; each plan shows by how much"
      />
      <TickField
        field={fields.arePensLit}
        label="Lights on in the pens"
        hint="until the feed is pulled; without light, birds stop eating at dusk"
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.crateBirdsCount}
          label="Birds per crate"
          hint={`Leave blank to use our estimate (${ours.crateBirds} big birds)`}
          inputMode="numeric"
        />
        <TextField
          field={fields.air}
          label="Air temperature on the day"
          hint={`Leave blank to use our estimate (${show.temperature(ours.airCelsius)})`}
        />
      </div>
      <TextField
        field={fields.ruleForOthers}
        label="Your rule about processing for others"
        hint="In your words; shown first wherever a plan has other people's birds"
      />
    </FieldSheet>
  );
}

/** What makes money of hours and equipment. */
export function CostFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <FieldSheet
      id="cost"
      heading="Cost"
      usedIn="Settle and Books"
      fields={[fields.hourRate, fields.birdsAYearCount]}
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.hourRate}
          label="Value of an hour of labor"
          hint={`Leave blank to use our estimate (${show.money(ours.centsAnHour)})`}
        />
        <TextField
          field={fields.birdsAYearCount}
          label="Birds per year"
          hint={`Leave blank to use our estimate (${ours.birdsAYear}); spreads equipment cost over birds`}
          inputMode="numeric"
        />
      </div>
      <ChoiceField
        field={fields.dayCostSharedBy}
        label="How do lots share what a day costs?"
        options={[
          { value: "birds", label: "By birds", line: "every bird the same" },
          { value: "work", label: "By work", line: "a bird that takes longer bears more" },
        ]}
      />
    </FieldSheet>
  );
}

/** What is mixed for tables and knives. */
export function SanitizerFields({ fields, ours }: WithOurs) {
  const show = useShow();
  return (
    <FieldSheet
      id="bleach"
      heading="Sanitizing"
      usedIn="the day's supplies and its printed sheet"
      fields={[fields.bleach]}
    >
      <TextField
        field={fields.bleach}
        label="Sodium hypochlorite in your bleach"
        hint={`From the label, usually 6 to 8.25 %; leave blank to use our estimate (${show.value(ours.hypochloriteFraction, "fraction")})`}
        unit="%"
      />
    </FieldSheet>
  );
}
