import { redirect } from "react-router";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { backupsThatHold, forget } from "#app/server/farm/forget.server.ts";
import { ForgetSheet } from "#app/ui/forget-sheet.tsx";
import { Page, PageHead } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/forget-person.ts";

export const meta = () => [{ title: "Forget someone · Pale Morning" }];

const aliasOf = ({ id }: { id: number }) => `Person ${id}`;

export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const person = requirePerson(here, params.personId);
  return { person, alias: aliasOf(person), ...(await backupsThatHold(context.get(farmLifeContext))) };
}

/** Puts a number in the place of somebody's name, everywhere in the file; what they did still counts. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const person = requirePerson(here, params.personId);
  const refusal = await forget(here, context.get(farmLifeContext), request, {
    entryId: person.entryId,
    name: person.name,
    alias: aliasOf(person),
  });
  return refusal ?? redirect("/season/people", 303);
}

export default function ForgetPerson({ loaderData, actionData }: Route.ComponentProps) {
  const { person, ...rest } = loaderData;
  return (
    <Page>
      <PageHead title={`Forget ${person.name}`} line="take a name out of the farm's records" />
      <ForgetSheet
        {...rest}
        name={person.name}
        more={[
          "In days, taps, and notes too. What they did still counts.",
          "They are taken off the list of people. This can't be undone.",
        ]}
        fault={actionData?.fault}
        cancelTo={`/season/people/${person.id}`}
      />
    </Page>
  );
}
