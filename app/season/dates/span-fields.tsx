import type { FieldMetadata } from "@conform-to/react";
import { TextField } from "#app/ui/field.tsx";

/** From a day to a day; the second may be left out. */
export function SpanFields({
  fields,
}: {
  fields: { fromOn: FieldMetadata<string>; toOn: FieldMetadata<string> };
}) {
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <TextField field={fields.fromOn} label="From" type="date" />
      <TextField field={fields.toOn} label="To" hint="Leave blank for one day" type="date" />
    </div>
  );
}
