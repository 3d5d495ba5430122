import { redirect } from "react-router";
import { AbleFields } from "#app/season/people/able-fields.tsx";
import { ableFields, ableOf, personForm } from "#app/season/people/people-form.ts";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { TextField } from "#app/ui/field.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/change-person.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `What ${loaderData?.person.name ?? "somebody"} may do · Pale Morning` },
];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return { person: requirePerson(here, params.personId), entryId: newEntryId() };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { id, revision } = requirePerson(here, params.personId);
  const sent = await submitted(here, request, personForm);
  if (!sent.ok) return sent.refusal;
  const { seen, name, ...able } = sent.value;
  const change = { id, name, revision: seen ?? revision, ...ableOf(able) };
  const faults = faultsOf(here.file.people.changePerson(sent.entry, change), {
    "changed-meanwhile": {
      "": "This person was changed in another window or by someone else. Your entries are still here. Reload the page to see what they saved",
    },
    "name-taken": { name: `${name} is already on the list` },
    "grant-taken": {
      besideAdultFeet: "Only one young person can have this. Clear it for the other person first",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/season/people/${id}`, 303);
}

/** Name, days, hours, pace and rules of someone. */
export default function ChangePerson({ loaderData: { person, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title={person.name} line="what they can and may do" />
      <Sheet heading="Name, speed, hours, and rules" className="max-w-prose">
        <FarmForm
          schema={personForm}
          refusal={actionData}
          entryId={entryId}
          defaults={{ name: person.name, ...ableFields(person) }}
          submit="Save"
        >
          {(fields) => (
            <>
              <input type="hidden" name="seen" value={person.revision} />
              <TextField field={fields.name} label="Name" />
              <AbleFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
