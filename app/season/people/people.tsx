import { Link, redirect } from "react-router";
import { AbleFields } from "#app/season/people/able-fields.tsx";
import { ableInWords, ableOf, personForm, weekdaysOf } from "#app/season/people/people-form.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/people.ts";

export const meta = () => [{ title: "People · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { people: here.file.people.people(), entryId: newEntryId() };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, personForm);
  if (!sent.ok) return sent.refusal;
  const { name, ...said } = sent.value;
  const faults = faultsOf(here.file.people.addPerson(sent.entry, { name, ...ableOf(said) }), {
    "name-taken": { name: `${name} is already on the list` },
    "grant-taken": {
      besideAdultFeet: "Only one young person can have this. Clear it for the other person first",
    },
  });
  return faults ? sent.refuse(faults) : redirect("/season/people", 303);
}

export default function People({ loaderData: { people, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title="People" line="who helps, and when they are usually available" />
      {people.length === 0 && (
        <EmptyPlace heading="Who helps?">
          <p>
            A processing day needs a crew. Add everyone who helps, yourself first, with the weekdays they are
            usually available. You can add single days and calendars later.
          </p>
        </EmptyPlace>
      )}
      {people.length > 0 && (
        <Sheet heading="Everyone">
          <ul>
            {people.map((person) => (
              <li
                key={person.id}
                className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-2 last:border-b-0"
              >
                <span>
                  <Link to={`/season/people/${person.id}`} className="font-display text-lg underline">
                    {person.name}
                  </Link>
                  <span className="block text-sm text-soft">
                    {weekdaysOf(person.weekdayMask)}
                    {person.handsPercent !== 100 &&
                      `; works at ${person.handsPercent} of a practiced adult's 100`}
                    {ableInWords(person) && `; ${ableInWords(person)}`}
                  </span>
                </span>
                <RemoveButton entryId={person.entryId} back="/season/people" what={person.name} />
              </li>
            ))}
          </ul>
        </Sheet>
      )}
      <Sheet heading="Add a person" className="max-w-prose">
        <FarmForm
          key={people.length}
          schema={personForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{ handsPercent: "100", saturday: "on" }}
          submit="Add"
        >
          {(fields) => (
            <>
              <TextField field={fields.name} label="Name" />
              <AbleFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
