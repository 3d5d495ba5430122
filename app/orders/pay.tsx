import { data, redirect } from "react-router";
import { z } from "zod";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField, TickField } from "#app/ui/field.tsx";
import { choice, money, tick } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { PAYMENT_WORDS } from "#app/words/order-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { PAYMENT_WAYS } from "#core/orders/payment-way.ts";
import type { Route } from "./+types/pay.ts";

export const meta = () => [{ title: "Record a payment · Pale Morning" }];

const paymentForm = z.object({
  amount: money("Enter the amount, such as 18.50").refine((cents) => cents > 0, "Enter an amount above 0"),
  how: choice(PAYMENT_WAYS, "Choose how it was paid"),
  paidOn: localDay({ ask: "Enter the day it was paid" }),
  isRefund: tick,
});

/** Whose payment it is, and what for: an order, as its deposit, a sale, or what is owed. @throws a 404 page */
function paymentFor({ file }: FarmContext, request: Request) {
  const { searchParams } = new URL(request.url);
  const asked = (name: string) => {
    const text = searchParams.get(name);
    return text === null ? undefined : idFrom(text, name);
  };
  const order = file.ordering.orders().find(({ id }) => id === asked("order"));
  const customerId = order?.customerId ?? asked("customer");
  const customer = file.customers.all().find(({ id }) => id === customerId);
  if (!customer) throw data("There is no such customer.", { status: 404 });
  return { customer, order, saleId: asked("sale") };
}

const backFrom = ({ customer, order, saleId }: ReturnType<typeof paymentFor>): string =>
  order ? `/orders/${order.id}` : saleId ? `/orders/sales/${saleId}` : `/orders/customers/${customer.id}`;

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { customer, order, saleId } = paymentFor(here, request);
  return {
    name: customer.name,
    isDeposit: order !== undefined && saleId === undefined,
    owedCents: here.file.selling.owed().find(({ customerId }) => customerId === customer.id)?.owedCents ?? 0,
    today: localDayOf(here.now(), farm.timeZone),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const what = paymentFor(here, request);
  const sent = await submitted(here, request, paymentForm);
  if (!sent.ok) return sent.refusal;
  const { amount, how, paidOn, isRefund } = sent.value;
  const outcome = here.file.selling.pay(sent.entry, {
    customerId: what.customer.id,
    orderId: what.order?.id,
    saleId: what.saleId,
    amountCents: isRefund ? -amount : amount,
    how,
    paidOn,
  });
  const faults = faultsOf(outcome, {
    "customer-removed": {
      "": "They were taken off the list of customers. Add them again, or put them back from History",
    },
    "sale-removed": { "": "That sale was removed meanwhile. Go back and look again" },
  });
  return faults ? sent.refuse(faults) : redirect(backFrom(what), 303);
}

const WAYS = PAYMENT_WAYS.map((value) => ({ value, label: PAYMENT_WORDS[value] }));

/** Money that came in by itself: a deposit, what was owed, or back to them. */
export default function Pay({ loaderData, actionData }: Route.ComponentProps) {
  const { name, isDeposit, owedCents, today, entryId } = loaderData;
  return (
    <Page>
      <PageHead title={isDeposit ? "Record a deposit" : "Record a payment"} line={name} />
      <Sheet heading={isDeposit ? "Deposit" : "Payment"} className="max-w-prose">
        <FarmForm
          schema={paymentForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{
            paidOn: today,
            how: "cash",
            amount: owedCents > 0 && !isDeposit ? (owedCents / 100).toFixed(2) : "",
          }}
          submit={isDeposit ? "Save deposit" : "Save payment"}
        >
          {(fields) => (
            <>
              <TextField field={fields.amount} label="Amount" inputMode="decimal" />
              <ChoiceField field={fields.how} label="Paid by" options={WAYS} />
              <TextField field={fields.paidOn} label="Date paid" type="date" />
              <TickField field={fields.isRefund} label="This money went back to them" />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
