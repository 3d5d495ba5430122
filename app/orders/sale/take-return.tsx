import { data, redirect } from "react-router";
import { z } from "zod";
import { requireSale } from "#app/orders/sale/require-sale.server.ts";
import { saleReading } from "#app/orders/sale/sale-reading.server.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { choice, money, words } from "#app/ui/read/read-field.ts";
import { localDay } from "#app/ui/read/read-when.ts";
import { Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { localDayOf } from "#core/calendar/farm-time.ts";
import type { Route } from "./+types/take-return.ts";

export const meta = () => [{ title: "A pack came back · Pale Morning" }];

const returnForm = z.object({
  credit: money("Enter what is taken off; 0 if nothing"),
  goes: choice(["stock", "discarded"], "Choose where it goes"),
  reason: words(200, "Enter why it came back, such as a leaking bag"),
  returnedOn: localDay({ ask: "Enter the day it came back" }),
});

/** @throws a 404 page if the sale has no such pack */
function requireSold(here: FarmContext, saleId: string, outId: string) {
  const sale = requireSale(here, saleId);
  const pack = saleReading(here, sale).packs.find((one) => String(one.outId) === outId);
  if (!pack) throw data("That pack is not in this sale.", { status: 404 });
  return { sale, pack };
}

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { pack } = requireSold(here, params.saleId, params.outId);
  return { pack, today: localDayOf(here.now(), farm.timeZone), entryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { sale, pack } = requireSold(here, params.saleId, params.outId);
  const sent = await submitted(here, request, returnForm);
  if (!sent.ok) return sent.refusal;
  const { credit, ...back } = sent.value;
  const outcome = here.file.selling.takeReturn(sent.entry, pack.outId, { ...back, creditCents: credit });
  const faults = faultsOf(outcome, {
    "not-sold": { "": "That sale was undone meanwhile, so the pack is in stock already" },
    "returned-already": { "": "This pack came back already, on another phone" },
    "credit-too-large": { credit: "That is more than was asked for it" },
  });
  return faults ? sent.refuse(faults) : redirect(`/orders/sales/${sale.id}`, 303);
}

/** A sold pack that came back: what is taken off, and where it goes now. */
export default function TakeReturn({
  loaderData: { pack, today, entryId },
  actionData,
}: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="A pack came back" line={`${pack.name} ${pack.code}`} />
      <Notice>
        Only a pack that stayed frozen in your own hands goes back into stock. One that left them is thrown
        away; local rules decide.
      </Notice>
      <Sheet heading="Return" className="max-w-prose">
        <FarmForm
          schema={returnForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{ credit: (pack.cents / 100).toFixed(2), goes: "discarded", returnedOn: today }}
          submit="Save return"
        >
          {(fields) => (
            <>
              <TextField field={fields.reason} label="Why it came back" />
              <ChoiceField
                field={fields.goes}
                label="Where it goes"
                options={[
                  { value: "discarded", label: "Thrown away" },
                  { value: "stock", label: "Back in stock", line: "it never left our hands" },
                ]}
              />
              <TextField
                field={fields.credit}
                label="Taken off what they owe"
                hint="If you pay it back, record that as a payment that went back to them"
                inputMode="decimal"
              />
              <TextField field={fields.returnedOn} label="Date it came back" type="date" />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
