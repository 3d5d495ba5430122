import type { ReactNode } from "react";
import type { changeBatchForm } from "#app/batches/batch-forms.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { KIND_OPTIONS } from "#app/words/words.ts";

interface BatchFieldsProps {
  fields: Omit<Fields<typeof changeBatchForm>, "seen">;
  /** Said under the name. */
  nameHint?: string;
  /** How many came, where that is asked here. */
  children?: ReactNode;
}

/** What is said of a batch when it begins, and can be put right later. */
export function BatchFields({ fields, nameHint, children }: BatchFieldsProps) {
  return (
    <>
      <TextField field={fields.name} label="Name" hint={nameHint} />
      <ChoiceField field={fields.kind} label="Kind" options={KIND_OPTIONS} />
      <TextField
        field={fields.malePercent}
        label="Males per 100"
        hint="50 for straight run, 100 for cockerels"
        inputMode="numeric"
      />
      <TextField field={fields.hatchedOn} label="Hatch date" hint="Past or expected" type="date" />
      <div className={`grid gap-5 ${children ? "sm:grid-cols-3" : "sm:grid-cols-2"}`}>
        {children}
        <TextField
          field={fields.orderedCount}
          label="Chicks ordered"
          hint="Leave blank if home-hatched"
          inputMode="numeric"
          unit="birds"
        />
        <TextField
          field={fields.chickCost}
          label="Cost of the chicks"
          hint="For all of them"
          inputMode="decimal"
        />
      </div>
    </>
  );
}
