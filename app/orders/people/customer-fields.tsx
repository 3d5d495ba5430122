import type { customerForm } from "#app/orders/people/customer-form.ts";
import type { Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { CUSTOMER_WORDS } from "#app/words/customer-words.ts";
import { CUSTOMER_KINDS } from "#core/sharing/customer-kind.ts";

const OPTIONS = CUSTOMER_KINDS.map((value) => ({
  value,
  label: CUSTOMER_WORDS[value].replace(/^./, (first) => first.toUpperCase()),
}));

/** Who somebody is, and how to reach them. */
export function CustomerFields({ fields }: { fields: Fields<typeof customerForm> }) {
  return (
    <>
      <TextField field={fields.name} label="Name" />
      <ChoiceField field={fields.kind} label="Who are they?" options={OPTIONS} />
      <TextField
        field={fields.contact}
        label="How to reach them"
        hint="Only what they agreed to leave with you, such as a phone number. It is erased when you forget them"
      />
      <TextField field={fields.note} label="Note" hint="Such as: picks up Fridays after five" />
    </>
  );
}
