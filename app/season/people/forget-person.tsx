import { data, Form, redirect } from "react-router";
import { requirePerson } from "#app/season/people/require-person.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import { log } from "#app/server/log.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { filePool } from "#app/server/work-pool.server.ts";
import { AgreedEnd } from "#app/ui/agreed-end.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/words/show.ts";
import { backupsIn } from "#db/life/backup-archive.server.ts";
import type { Route } from "./+types/forget-person.ts";

export const meta = () => [{ title: "Forget someone · Pale Morning" }];

export async function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const backups = await backupsIn(context.get(farmLifeContext).folder);
  return {
    person: requirePerson(here, params.personId),
    kept: backups.filter(({ reason }) => reason === "asked").length,
    own: backups.filter(({ reason }) => reason !== "asked").length,
  };
}

/** Puts a number in the place of somebody's name, everywhere in the file; what they did still counts. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const life = context.get(farmLifeContext);
  requireFarm(here);
  const person = requirePerson(here, params.personId);
  if ((await formFields(request)).get("isSure") !== "on")
    return data({ fault: `Check that ${person.name} is to be forgotten` }, { status: 422 });
  // Whoever is forgotten comes to no day any more.
  here.file.removeFact(person.entryId, here.now());
  try {
    await life.whileClosed(() =>
      filePool().run("forget-name", { path: life.path, name: person.name, alias: `Person ${person.id}` }),
    );
  } catch (error) {
    log.error({ err: error }, "a name could not be forgotten");
    here.file.history.putBack(person.entryId, here.now());
    return data({ fault: "That did not work. The name still stands; try again" }, { status: 409 });
  }
  return redirect("/season/people", 303);
}

/** What it means that someone is forgotten, before it is done. */
export default function ForgetPerson({ loaderData, actionData }: Route.ComponentProps) {
  const { person, kept, own } = loaderData;
  return (
    <Page>
      <PageHead title={`Forget ${person.name}`} line="take a name out of the farm's records" />
      <Sheet heading="What happens" className="max-w-prose">
        <ul className="list-disc py-1 pl-5">
          <li>
            Everywhere in this farm's file "{person.name}" becomes "Person {person.id}": in days, taps, notes,
            and the history. What they did still counts.
          </li>
          <li>They are taken off the list of people. This can't be undone.</li>
          <li>{backupsInWords(own, kept)}</li>
          <li>Phones, printed pages, and files downloaded earlier are not changed.</li>
        </ul>
        <Form method="post" className="grid gap-3 py-2" noValidate>
          <AgreedEnd
            name="isSure"
            fault={actionData?.fault}
            submit={`Forget ${person.name}`}
            cancelTo={`/season/people/${person.id}`}
          >
            Yes, forget {person.name}
          </AgreedEnd>
        </Form>
      </Sheet>
    </Page>
  );
}

/** For how long backups still hold a name. */
function backupsInWords(own: number, kept: number): string {
  if (own + kept === 0) return "There are no backups yet, so no backup holds the name.";
  const parts = [
    own > 0 &&
      `${plural(own, "backup")} made automatically, deleted after 14 newer ones, about two weeks from now`,
    kept > 0 &&
      `${plural(kept, "backup")} that you asked for, kept until you delete ${kept === 1 ? "it" : "them"}`,
  ];
  return `Backups made before still hold the name: ${parts.filter(Boolean).join("; ")}.`;
}
