import type { firstRunForm } from "#app/farm/first-run/first-run-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField } from "#app/ui/field.tsx";
import { CURRENCIES } from "#core/quantity/currency.ts";

interface UnitFieldsProps {
  fields: Pick<Fields<typeof firstRunForm>, "locale" | "unitSystem" | "currency">;
  locales: readonly { value: string; label: string }[];
}

/** How a farm reads its numbers. */
export function UnitFields({ fields, locales }: UnitFieldsProps) {
  return (
    <>
      <SelectField
        field={fields.locale}
        label="Dates, clocks, and paper"
        hint="Formats only; the words stay the same"
        options={locales}
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
    </>
  );
}
