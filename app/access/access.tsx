import { data, Link, redirect } from "react-router";
import { z } from "zod";
import { Devices } from "#app/access/devices.tsx";
import { Invitations } from "#app/access/invitations.tsx";
import { type FieldFaults, faultsOfParse, passphraseForm, secret } from "#app/access/join-form.ts";
import { isOnNetwork, ownAddresses } from "#app/access/own-addresses.server.ts";
import { PassphraseSheet } from "#app/access/passphrase-sheet.tsx";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ENTRY_USED, formFields, newEntryId } from "#app/server/submitted.server.ts";
import { hashOfSecret, isPassphrase, keptPassphrase, newSecret } from "#app/server/visitor/secret.server.ts";
import { entryId } from "#app/ui/read/read-field.ts";
import { Notice, Page, PageHead } from "#app/ui/sheet.tsx";
import { ROLES, type Role } from "#core/access/role.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { codePicture } from "#workers/labels/code-picture.ts";
import type { Route } from "./+types/access.ts";

export const meta = () => [{ title: "Phones · Pale Morning" }];

/** An owner's code is for one device and a quarter of an hour; the others may hang on the wall for a day. */
const INVITATION_OF: Readonly<Record<Role, { lasts: number; mostCount: number }>> = {
  owner: { lasts: 15 * MINUTE, mostCount: 1 },
  helper: { lasts: 24 * HOUR, mostCount: 30 },
  viewer: { lasts: 24 * HOUR, mostCount: 30 },
};

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  return {
    /** Which passphrase stands; another number after it was changed. */
    passphraseId: here.file.access.passphrase()?.id,
    isOnNetwork: isOnNetwork(),
    isSecure: new URL(request.url).protocol === "https:",
    devices: here.file.access.devices(),
    invitations: here.file.access.openInvitations(here.now()),
    now: here.now(),
    entryId: newEntryId(),
    secret: newSecret(),
  };
}

const inviteForm = z.object({
  entryId,
  role: z.enum(ROLES, "Choose what they may do"),
  secret,
});
const deviceForm = z.object({
  deed: z.enum(["block", "unblock"]),
  device: z
    .string()
    .regex(/^\d{1,9}$/)
    .transform(Number),
});

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const fields = Object.fromEntries(await formFields(request));
  if (fields.deed === "passphrase") return setPassphrase(here, fields);
  if (fields.deed === "invite") return invite(here, fields, new URL(request.url));
  const read = deviceForm.safeParse(fields);
  if (!read.success) throw data("Choose what to do. Nothing was changed.", { status: 422 });
  const { deed, device } = read.data;
  if (deed === "unblock") here.file.access.unblock(device);
  else here.file.access.block(device, here.now());
  return redirect("/farm/access", 303);
}

const refuse = (faults: FieldFaults) => data({ faults, code: undefined }, { status: 422 });

async function setPassphrase(here: FarmContext, fields: Readonly<Record<string, unknown>>) {
  const read = passphraseForm.safeParse(fields);
  if (!read.success) return refuse(faultsOfParse(read.error));
  const { passphrase, entryId: id } = read.data;
  const standing = here.file.access.passphrase();
  // An entry's content may not hold a passphrase, so a repeat is told from a change by the one that stands.
  if (here.file.knowsEntry(id) && standing && !(await isPassphrase(passphrase, standing)))
    return refuse({ passphrase: ENTRY_USED });
  here.file.access.setPassphrase({ entryId: id, at: here.now() }, await keptPassphrase(passphrase));
  return redirect("/farm/access", 303);
}

/** Makes an invitation and shows its code: the only time that it can be shown. */
function invite(here: FarmContext, fields: Readonly<Record<string, unknown>>, asked: URL) {
  if (!here.file.access.passphrase()) return refuse({ passphrase: "Set a passphrase first" });
  const read = inviteForm.safeParse(fields);
  if (!read.success) return refuse(faultsOfParse(read.error));
  const { role, secret } = read.data;
  const { lasts, mostCount } = INVITATION_OF[role];
  const endsAt = here.now() + lasts;
  const outcome = here.file.access.invite(
    { entryId: read.data.entryId, at: here.now() },
    { role, endsAt, mostCount, secretHash: hashOfSecret(secret) },
  );
  if (!outcome.recorded) return refuse({ role: ENTRY_USED });
  const addresses = ownAddresses(asked).map((address) => `${address}/join/${secret}`);
  const code = {
    role,
    endsAt: here.file.access.invitation(hashOfSecret(secret))?.endsAt ?? endsAt,
    pictures: addresses.map((address) => ({ address, picture: codePicture("qr", address) })),
  };
  return data({ faults: {} as FieldFaults, code });
}

/** Who may come in from other devices: the passphrase, the codes by which phones join, and the phones that did. */
export default function Access({ loaderData, actionData }: Route.ComponentProps) {
  const faults = actionData?.faults ?? {};
  const { passphraseId, isOnNetwork: isReached } = loaderData;
  return (
    <Page isWide>
      <PageHead title="Phones" line="phones and computers that can use this farm" />
      {!isReached && (
        <Notice tone="plain">
          Only this computer can use Pale Morning now, and nobody has to sign in. To let phones connect, start
          it with <code>HOST=0.0.0.0 npm start</code>.
        </Notice>
      )}
      {isReached && !loaderData.isSecure && (
        <Notice tone="plain">
          Phones connect without encryption: someone on the same Wi-Fi could read what they send.{" "}
          <Link to="/phone" className="underline">
            Connect them securely
          </Link>
        </Notice>
      )}
      <div className="grid items-start gap-5 lg:grid-cols-2">
        {passphraseId !== undefined && (
          <Invitations {...loaderData} fault={faults.role} code={actionData?.code} />
        )}
        <PassphraseSheet
          // One that was set does not stay on the screen.
          key={passphraseId}
          {...loaderData}
          hasPassphrase={passphraseId !== undefined}
          faults={faults}
        />
      </div>
      <Devices {...loaderData} />
    </Page>
  );
}
