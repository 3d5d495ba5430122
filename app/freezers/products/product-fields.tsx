import type { productForm } from "#app/freezers/products/product-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, LinesField, TextField } from "#app/ui/field.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRODUCT_WORDS } from "#app/words/packing/product-words.ts";
import { type ProductKindName, productKind } from "#core/packing/product-kinds.ts";

interface ProductFieldsProps {
  fields: Fields<ReturnType<typeof productForm>>;
  kind: ProductKindName;
}

/** What the farm may say of a product, with the usual of its kind beside each. */
export function ProductFields({ fields, kind }: ProductFieldsProps) {
  const { pack, basis, keepsMonths, piece } = productKind(kind);
  const show = useShow();
  const isOwn = kind === "own";
  return (
    <>
      <TextField
        field={fields.name}
        label="Name"
        hint={
          isOwn ? "As it is to stand on lists and labels" : `Leave empty for “${PRODUCT_WORDS[kind].name}”`
        }
      />
      {piece && piece !== "carcass" && (
        <TextField
          field={fields.piecesPerPack}
          label={`${PRODUCT_WORDS[kind].piece![1]} in a pack`.replace(/^./, (first) => first.toUpperCase())}
          hint={`Leave empty for ${"pieces" in pack ? pack.pieces : 1}`}
          inputMode="numeric"
        />
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          field={fields.priceCents}
          label="Price"
          hint="Leave empty if it is not sold"
          inputMode="decimal"
        />
        <ChoiceField field={fields.priceUnit} label="For each" options={unitOptions(basis, show.isUs)} />
      </div>
      <TextField
        field={fields.keepsMonths}
        label="Keeps its quality for"
        unit="months"
        hint={`Leave empty for ${keepsMonths} months. A guide for quality, not a safety limit`}
        inputMode="numeric"
      />
      <LinesField
        field={fields.labelWords}
        label="More words on its label"
        hint="For example: Contains up to 8 % of a solution of water and salt"
        rows={2}
      />
    </>
  );
}

const unitOptions = (basis: string, isUs: boolean) =>
  [
    basis !== "volume" &&
      (isUs ? { value: "pound", label: "Pound" } : { value: "kilogram", label: "Kilogram" }),
    basis === "volume" && (isUs ? { value: "quart", label: "Quart" } : { value: "liter", label: "Liter" }),
    { value: "pack", label: "Pack" },
  ].filter((option) => option !== false);
