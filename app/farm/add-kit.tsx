import { redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { choice, money, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-kit.ts";

export const meta = () => [{ title: "Equipment · Pale Morning" }];

const kitForm = z
  .object({
    name: words(80, "Enter what it is, such as drum plucker"),
    price: money("Enter the price"),
    life: wholeNumber({ least: 1, most: 10_000_000, ask: "Enter how long it lasts" }),
    counted: choice(["years", "birds"], "Choose years or birds"),
  })
  .superRefine(({ counted, life }, context) => {
    if (counted === "years" && life > 100)
      context.addIssue({ code: "custom", path: ["life"], message: "Enter 100 years or fewer" });
  });

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, kitForm);
  if (!sent.ok) return sent.refusal;
  const { name, price, life, counted } = sent.value;
  const outcome = here.file.addKit(sent.entry, {
    name,
    priceCents: price,
    lifeYears: counted === "years" ? life : undefined,
    lifeBirds: counted === "birds" ? life : undefined,
  });
  const faults = faultsOf(outcome, {});
  return faults ? sent.refuse(faults) : redirect("/farm", 303);
}

export default function AddKit({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="Equipment" line="depreciated evenly over its life" />
      <Sheet heading="Details" className="max-w-prose">
        <FarmForm
          schema={kitForm}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ counted: "years" }}
          submit="Add"
        >
          {(fields) => (
            <>
              <TextField field={fields.name} label="Item" />
              <TextField field={fields.price} label="Price" inputMode="decimal" />
              <TextField field={fields.life} label="Life" inputMode="numeric" />
              <ChoiceField
                field={fields.counted}
                label="Counted in"
                options={[
                  { value: "years", label: "Years" },
                  { value: "birds", label: "Birds" },
                ]}
              />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
