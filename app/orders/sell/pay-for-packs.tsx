import { sellForm } from "#app/orders/sell/sell-form.ts";
import { sellPath } from "#app/orders/sell/sell-path.ts";
import { FarmForm, type Fields } from "#app/ui/farm-form.tsx";
import { ChoiceField, SelectField, TextField } from "#app/ui/field.tsx";
import { ButtonLink, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PAYMENT_WORDS } from "#app/words/order-words.ts";
import { plural } from "#app/words/show.ts";
import { PAYMENT_WAYS } from "#core/orders/payment-way.ts";
import type { Route } from "./+types/sell.ts";

interface PayForPacksProps {
  loaded: Route.ComponentProps["loaderData"];
  refusal: Route.ComponentProps["actionData"];
}

const WAYS = [
  ...PAYMENT_WAYS.map((value) => ({ value, label: PAYMENT_WORDS[value] as string })),
  { value: "later", label: "Not yet paid" },
];

/** Who takes the chosen packs, for how much, and how it is paid. */
export function PayForPacks({ loaded, refusal }: PayForPacksProps) {
  const { chosen, customers, customer, order, today, entryId, agreedCents } = loaded;
  const show = useShow();
  const ids = chosen.map(({ id }) => id);
  const total = chosen.reduce((sum, { cents }) => sum + (cents ?? 0), 0);
  const unpriced = chosen.filter(({ cents }) => cents === undefined).length;
  return (
    <Sheet heading={`${plural(chosen.length, "pack")}, ${show.money(total)}`} className="max-w-prose">
      {unpriced > 0 && agreedCents === undefined && (
        <Notice>
          {plural(unpriced, "pack")} {unpriced === 1 ? "has" : "have"} no price. Enter the total yourself, or
          set prices under Orders, Prices.
        </Notice>
      )}
      <FarmForm
        schema={sellForm}
        refusal={refusal}
        entryId={entryId}
        defaults={{
          packs: ids.join(),
          total:
            agreedCents !== undefined
              ? (agreedCents / 100).toFixed(2)
              : unpriced > 0
                ? ""
                : (total / 100).toFixed(2),
          customerId: customer ? String(customer.id) : "",
          paid: "cash",
          soldOn: today,
        }}
        submit="Save sale"
        beside={
          <ButtonLink kind="plain" to={sellPath({ packIds: ids, order, customer })}>
            Change the packs
          </ButtonLink>
        }
      >
        {(fields) => <SaleFields fields={fields} ids={ids} customers={customers} />}
      </FarmForm>
    </Sheet>
  );
}

interface SaleFieldsProps {
  fields: Fields<typeof sellForm>;
  ids: readonly number[];
  customers: PayForPacksProps["loaded"]["customers"];
}

function SaleFields({ fields, ids, customers }: SaleFieldsProps) {
  return (
    <>
      <input type="hidden" name={fields.packs.name} value={ids.join()} />
      {fields.packs.errors && (
        <p role="alert" className="font-semibold text-barn">
          {fields.packs.errors.join(". ")}
        </p>
      )}
      <TextField
        field={fields.total}
        label="Total"
        hint="By the labels; change it if you agreed on something else"
        inputMode="decimal"
      />
      <ChoiceField field={fields.paid} label="Paid by" options={WAYS} />
      <SelectField
        field={fields.customerId}
        label="Who takes them"
        options={[
          { value: "", label: "Someone at the stand" },
          ...customers.map(({ id, name }) => ({ value: String(id), label: name })),
        ]}
      />
      <TextField field={fields.soldOn} label="Date sold" type="date" />
      <TextField field={fields.note} label="Note" />
    </>
  );
}
