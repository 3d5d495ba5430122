import { redirect } from "react-router";
import { CustomerFields } from "#app/orders/people/customer-fields.tsx";
import { customerForm } from "#app/orders/people/customer-form.ts";
import { requireCustomer } from "#app/orders/people/require-customer.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/change-customer.ts";

export const meta = () => [{ title: "Change a customer · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { customer: requireCustomer(here, params.customerId), entryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { id, revision: now } = requireCustomer(here, params.customerId);
  const sent = await submitted(here, request, customerForm);
  if (!sent.ok) return sent.refusal;
  const { revision, ...facts } = sent.value;
  const outcome = here.file.customers.save(id, revision ?? now, facts);
  if (outcome === "name-taken") return sent.refuse({ name: `${facts.name} is already on the list` });
  if (outcome === "changed-meanwhile")
    return sent.refuse({
      "": "Someone changed this customer meanwhile. Your entries are still here. Reload the page to see what they saved",
    });
  return redirect(`/orders/customers/${id}`, 303);
}

export default function ChangeCustomer({ loaderData, actionData }: Route.ComponentProps) {
  const { customer, entryId } = loaderData;
  return (
    <Page>
      <PageHead title={customer.name} line="name and contact" />
      <Sheet heading="Change" className="max-w-prose">
        <FarmForm
          schema={customerForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{
            name: customer.name,
            kind: customer.kind,
            contact: customer.contact,
            note: customer.note,
            revision: String(customer.revision),
          }}
          submit="Save customer"
        >
          {(fields) => (
            <>
              <input type="hidden" name="revision" value={customer.revision} />
              <CustomerFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
