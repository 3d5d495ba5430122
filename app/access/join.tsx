import { data, Form, redirect } from "react-router";
import { type FieldFaults, faultsOfParse, joinForm } from "#app/access/join-form.ts";
import { ROLE_WORDS } from "#app/access/role-words.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { formFields, newEntryId } from "#app/server/submitted.server.ts";
import { hashOfSecret, isSecret, newSecret } from "#app/server/visitor/secret.server.ts";
import { cookieWith } from "#app/server/visitor/visitor.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Button, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/join.ts";

export const meta = () => [{ title: "Join · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const invitation = requireInvitation(here, params.secret);
  return {
    farmName: here.file.farm()?.name ?? "this farm",
    role: invitation.role,
    people: here.file.people.people().map(({ name }) => name),
    entryId: newEntryId(),
    secret: newSecret(),
  };
}

const OVER = "This code has expired or was already used. Ask an owner for a new one.";

/** @throws a 403 page if nobody may join by this address now */
function requireInvitation(here: FarmContext, text: string) {
  const invitation = isSecret(text) ? here.file.access.invitation(hashOfSecret(text)) : undefined;
  if (!invitation || invitation.endsAt <= here.now()) throw data(OVER, { status: 403 });
  return invitation;
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const invitation = requireInvitation(here, params.secret);
  const read = joinForm.safeParse(Object.fromEntries(await formFields(request)));
  const refuse = (faults: FieldFaults) => data({ faults }, { status: 422 });
  if (!read.success) return refuse(faultsOfParse(read.error));
  const { entryId, secret, name } = read.data;
  const device = { name, secretHash: hashOfSecret(secret) };
  const outcome = here.file.access.joinByInvitation({ entryId, at: here.now() }, device, invitation);
  if (!outcome.recorded)
    return refuse({
      "": outcome.reason === "invitation-over" ? OVER : "This page is too old. Reload it, and join again",
    });
  return redirect("/", { status: 303, headers: { "Set-Cookie": await cookieWith(request, secret) } });
}

/** Where the code of an invitation leads: who is this, and what may they do? */
export default function Join({ loaderData, actionData }: Route.ComponentProps) {
  const { farmName, role, people, entryId, secret } = loaderData;
  const faults: FieldFaults = actionData?.faults ?? {};
  const { name, may } = ROLE_WORDS[role];
  return (
    <Page>
      <PageHead
        title={`Join ${farmName}`}
        line={`as ${role === "owner" ? "an" : "a"} ${name.toLowerCase()}`}
      />
      <Sheet heading="Whose phone is this?" className="max-w-prose">
        <p className="pb-4">{may}</p>
        <Form method="post" className="grid gap-5 pb-3" noValidate>
          <input type="hidden" name="entryId" value={entryId} />
          <input type="hidden" name="secret" value={secret} />
          {faults[""] && <Notice tone="heed">{faults[""]}</Notice>}
          <AskBox
            name="name"
            label="Your name"
            hint="What you record is saved under this name."
            autoComplete="off"
            list="people-here"
            fault={faults.name}
          />
          <datalist id="people-here">
            {people.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
          <div>
            <Button>Join</Button>
          </div>
        </Form>
      </Sheet>
    </Page>
  );
}
