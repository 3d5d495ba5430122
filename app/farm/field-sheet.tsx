import type { ReactNode } from "react";
import type { farmSettingsForm } from "#app/farm/farm-settings.ts";
import type { OURS } from "#app/server/farm/farm-means.server.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { FoldedSheet } from "#app/ui/sheet.tsx";

export interface FarmFieldsProps {
  fields: Fields<ReturnType<typeof farmSettingsForm>>;
}
/** With what stands where a field is left blank. */
export type WithOurs = FarmFieldsProps & { ours: typeof OURS };

interface FieldSheetProps {
  id: string;
  heading: string;
  /** Where the product uses what is entered here. */
  usedIn: string;
  /** Those that can be refused: a fault opens the sheet. */
  fields: readonly { readonly errors?: readonly string[] | undefined }[];
  children: ReactNode;
}

/** Fields of the farm that one part of the work uses, folded on a phone until there is something to mend. */
export function FieldSheet({ id, heading, usedIn, fields, children }: FieldSheetProps) {
  return (
    <FoldedSheet
      id={id}
      heading={heading}
      beside={`used in ${usedIn}`}
      isForPhones
      isOpen={fields.some(({ errors }) => errors !== undefined && errors.length > 0)}
    >
      <div className="grid gap-4">{children}</div>
    </FoldedSheet>
  );
}
