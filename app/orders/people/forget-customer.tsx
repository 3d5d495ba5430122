import { redirect } from "react-router";
import { requireCustomer } from "#app/orders/people/require-customer.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { backupsThatHold, forget } from "#app/server/farm/forget.server.ts";
import { ForgetSheet } from "#app/ui/forget-sheet.tsx";
import { Page, PageHead } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/forget-customer.ts";

export const meta = () => [{ title: "Forget a customer · Pale Morning" }];

const aliasOf = ({ id }: { id: number }) => `Customer ${id}`;

export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const customer = requireCustomer(here, params.customerId);
  return { customer, alias: aliasOf(customer), ...(await backupsThatHold(context.get(farmLifeContext))) };
}

/** Puts a number in the place of a customer's name, and clears how to reach them; which pack went to them stays known. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const customer = requireCustomer(here, params.customerId);
  const refusal = await forget(here, context.get(farmLifeContext), request, {
    entryId: customer.entryId,
    name: customer.name,
    alias: aliasOf(customer),
    customerId: customer.id,
  });
  return refusal ?? redirect("/orders/customers", 303);
}

export default function ForgetCustomer({ loaderData, actionData }: Route.ComponentProps) {
  const { customer, ...rest } = loaderData;
  return (
    <Page>
      <PageHead title={`Forget ${customer.name}`} line="take a name out of the farm's records" />
      <ForgetSheet
        {...rest}
        name={customer.name}
        more={[
          "How to reach them and what you noted of them is cleared, in the history too.",
          `Which pack went to “${rest.alias}”, and what was paid, stays: a recall and the books need it.`,
          "They are taken off the list of customers. This can't be undone.",
        ]}
        fault={actionData?.fault}
        cancelTo={`/orders/customers/${customer.id}`}
      />
    </Page>
  );
}
