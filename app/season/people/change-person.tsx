import { redirect } from "react-router";
import { AbleFields } from "#app/season/people/able-fields.tsx";
import { ableFields, ableForm, ableOf } from "#app/season/people/people-form.ts";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
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
  const { id, name, revision } = requirePerson(here, params.personId);
  const sent = await submitted(here, request, ableForm);
  if (!sent.ok) return sent.refusal;
  const { seen, ...able } = sent.value;
  const change = { id, revision: seen ?? revision, ...ableOf(able) };
  const faults = faultsOf(here.file.people.changePerson(sent.entry, change), {
    "changed-meanwhile": {
      "": `${name} was changed in another window or by someone else. Your entries are still here. Reload the page to see what they saved`,
    },
    "grant-taken": {
      besideAdultFeet: "Only one young person can have this. Clear it for the other person first",
    },
  });
  return faults ? sent.refuse(faults) : redirect(`/season/people/${id}`, 303);
}

/** Days, hours, pace and rules of someone. */
export default function ChangePerson({ loaderData: { person, entryId }, actionData }: Route.ComponentProps) {
  return (
    <Page>
      <PageHead title={person.name} line="what they can and may do" />
      <Sheet heading="Speed, hours, and rules" className="max-w-prose">
        <FarmForm
          schema={ableForm}
          refusal={actionData}
          entryId={entryId}
          defaults={ableFields(person)}
          submit="Save"
        >
          {(fields) => (
            <>
              <input type="hidden" name="seen" value={person.revision} />
              <AbleFields fields={fields} />
            </>
          )}
        </FarmForm>
      </Sheet>
    </Page>
  );
}
