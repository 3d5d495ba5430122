import { data, Form, redirect } from "react-router";
import { type FieldFaults, faultsOfParse, signInForm } from "#app/access/join-form.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { formFields, newEntryId } from "#app/server/submitted.server.ts";
import { hashOfSecret, isPassphrase, newSecret } from "#app/server/visitor/secret.server.ts";
import { cookieWith, visitorContext } from "#app/server/visitor/visitor.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Button, ButtonLink, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import type { Route } from "./+types/sign-in.ts";

export const meta = () => [{ title: "Sign in · Pale Morning" }];

export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { role } = context.get(visitorContext);
  return {
    isIn: role !== undefined,
    canSignIn: here.file.access.passphrase() !== undefined,
    entryId: newEntryId(),
    secret: newSecret(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const read = signInForm.safeParse(Object.fromEntries(await formFields(request)));
  const refuse = (faults: FieldFaults) => data({ faults }, { status: 422 });
  if (!read.success) return refuse(faultsOfParse(read.error));
  const { entryId, secret, name, passphrase } = read.data;
  const kept = here.file.access.passphrase();
  if (!kept || !(await isPassphrase(passphrase, kept)))
    return refuse({ passphrase: "That is not this farm's passphrase" });
  const device = { name, secretHash: hashOfSecret(secret) };
  const outcome = here.file.access.joinAsOwner({ entryId, at: here.now() }, device);
  if (!outcome.recorded) return refuse({ "": "This page is too old. Reload it, and sign in again" });
  return redirect("/", { status: 303, headers: { "Set-Cookie": await cookieWith(request, secret) } });
}

/** For owners on a device that has not joined. Helpers join by the code that an owner shows them. */
export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const { isIn, canSignIn } = loaderData;
  return (
    <Page>
      <PageHead title="Pale Morning" line="a farm's processing days" />
      {isIn && (
        <Sheet heading="You are signed in" className="max-w-prose">
          <p className="pb-3">This device already has access.</p>
          <ButtonLink to="/">Open the farm</ButtonLink>
        </Sheet>
      )}
      {!isIn && canSignIn && <SignInForm {...loaderData} faults={actionData?.faults ?? {}} />}
      {!isIn && (
        <Sheet heading={canSignIn ? "Here to help?" : "Phones can't connect yet"} className="max-w-prose">
          <p>
            {canSignIn
              ? "Ask an owner for a code, and scan it with this phone's camera. You don't need a passphrase."
              : "On the farm's own computer, open Farm, then Phones, and set a passphrase. Then scan a code with this phone, or sign in here."}
          </p>
        </Sheet>
      )}
    </Page>
  );
}

function SignInForm({ entryId, secret, faults }: { entryId: string; secret: string; faults: FieldFaults }) {
  return (
    <Sheet heading="Sign in as an owner" className="max-w-prose">
      <Form method="post" className="grid gap-5 pb-3" noValidate>
        <input type="hidden" name="entryId" value={entryId} />
        <input type="hidden" name="secret" value={secret} />
        {faults[""] && <p role="alert">{faults[""]}</p>}
        <AskBox
          name="passphrase"
          label="The farm's passphrase"
          type="password"
          autoComplete="current-password"
          fault={faults.passphrase}
        />
        <AskBox
          name="name"
          label="Whose phone or computer is this?"
          hint="For example: Maren's phone"
          autoComplete="off"
          fault={faults.name}
        />
        <div>
          <Button>Sign in</Button>
        </div>
      </Form>
    </Sheet>
  );
}
