import type { FieldMetadata } from "@conform-to/react";
import { SelectField, TextField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";

interface OrderLineFieldsProps {
  fields: Readonly<Record<"productId" | "packs" | "least" | "most", FieldMetadata<string>>>;
  products: readonly { readonly id: number; readonly name: string }[];
}

/** So many packs of a product, and the size that is wished. */
export function OrderLineFields({ fields, products }: OrderLineFieldsProps) {
  const show = useShow();
  return (
    <>
      <SelectField
        field={fields.productId}
        label="Product"
        options={products.map(({ id, name }) => ({ value: String(id), label: name }))}
      />
      <TextField
        field={fields.packs}
        label="How many packs"
        hint="A number, or “all” for every one there is"
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.least}
          label="Smallest that will do"
          hint={`Leave empty if any size will do. For example ${show.isUs ? "4 lb" : "1.8 kg"}`}
          inputMode="decimal"
        />
        <TextField
          field={fields.most}
          label="Largest that will do"
          hint={`For example ${show.isUs ? "5 lb" : "2.3 kg"}`}
          inputMode="decimal"
        />
      </div>
    </>
  );
}
