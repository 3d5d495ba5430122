import { redirect } from "react-router";
import { bookingForm } from "#app/season/dates/date-forms.ts";
import { SpanFields } from "#app/season/dates/span-fields.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/add-booking.ts";

export const meta = () => [{ title: "Booking · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { entryId: newEntryId(), thing: here.file.season.setting().hiredThing };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, bookingForm);
  if (!sent.ok) return sent.refusal;
  const { fromOn, toOn, thing } = sent.value;
  const faults = faultsOf(here.file.season.addBooking(sent.entry, { thing, fromOn, toOn: toOn ?? fromOn }), {
    overlaps: { fromOn: `${thing} is already booked for one of these days. Remove that booking first` },
  });
  return faults ? sent.refuse(faults) : redirect("/season/dates", 303);
}

export default function AddBooking({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="A booking" />
      <Sheet heading="What is booked, and when" className="max-w-prose">
        <FarmForm
          schema={bookingForm}
          refusal={actionData}
          entryId={loaderData.entryId}
          defaults={{ thing: loaderData.thing }}
          submit="Add"
        >
          {(fields) => (
            <>
              <TextField field={fields.thing} label="What" />
              <SpanFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
