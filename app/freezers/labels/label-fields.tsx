import type { labelForm } from "#app/freezers/labels/label-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, LinesField, TextField, TickField } from "#app/ui/field.tsx";
import { LABEL_PART_WORDS } from "#app/words/packing/label-words.ts";
import { LABEL_PARTS } from "#core/label/label-parts.ts";

/** Size, words, and the checklist of what the local rule asks for. */
export function LabelFields({ fields }: { fields: Fields<typeof labelForm> }) {
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <TextField field={fields.width} label="Width" unit="mm" inputMode="decimal" />
        <TextField field={fields.height} label="Height" unit="mm" inputMode="decimal" />
        <TextField field={fields.letterPoints} label="Letters" unit="pt" inputMode="decimal" />
        <TextField field={fields.columns} label="Side by side" inputMode="numeric" />
        <TextField field={fields.rows} label="Below each other" inputMode="numeric" />
      </div>
      <LinesField field={fields.farmLine} label="Farm name and address" rows={2} />
      <LinesField field={fields.exemptionLine} label="Exemption wording" rows={2} />
      <TextField field={fields.storageLine} label="Storage" />
      <LinesField field={fields.handlingLine} label="Safe handling" rows={2} />
      <ChoiceField
        field={fields.codeKind}
        label="Code"
        options={[
          { value: "qr", label: "QR picture" },
          { value: "code-128", label: "Bars", line: "for a hand scanner" },
        ]}
      />
      <fieldset>
        <legend className="font-semibold">Your rule asks for</legend>
        <div className="grid sm:grid-cols-2">
          {LABEL_PARTS.map((part) => (
            <TickField key={part} field={fields[`needs-${part}`]} label={LABEL_PART_WORDS[part]} />
          ))}
        </div>
      </fieldset>
    </>
  );
}
