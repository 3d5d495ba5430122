import type { FieldMetadata } from "@conform-to/react";
import { SelectField } from "#app/ui/field.tsx";

interface OwnerFieldProps {
  field: FieldMetadata<string>;
  owners: readonly { readonly id: number; readonly name: string }[];
}

/** Whose birds a lot's are; left out where nobody but the farm has birds here. */
export function OwnerField({ field, owners }: OwnerFieldProps) {
  if (owners.length === 0) return null;
  return (
    <SelectField
      field={field}
      label="Whose birds?"
      options={[
        { value: "", label: "our own" },
        ...owners.map(({ id, name }) => ({ value: String(id), label: name })),
      ]}
    />
  );
}
