import { Form } from "react-router";
import { ROLE_WORDS } from "#app/access/role-words.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { ROLES, type Role } from "#core/access/role.ts";
import type { CodePicture } from "#core/label/placed-label.ts";
import type { Invitation } from "#db/access/access-queries.server.ts";

interface ShownCode {
  readonly role: Role;
  readonly endsAt: number;
  readonly pictures: readonly { readonly address: string; readonly picture: CodePicture }[];
}

interface InvitationsProps {
  invitations: readonly Invitation[];
  entryId: string;
  secret: string;
  fault: string | undefined;
  code: ShownCode | undefined;
}

/** Makes the code by which phones join, shows it, and lists those that are still good. */
export function Invitations({ invitations, entryId, secret, fault, code }: InvitationsProps) {
  const show = useShow();
  return (
    <Sheet heading="Add a phone">
      {code && <Code {...code} />}
      <Form method="post" className="grid gap-4" preventScrollReset>
        <input type="hidden" name="deed" value="invite" />
        <input type="hidden" name="entryId" value={`${entryId}-invite`} />
        <input type="hidden" name="secret" value={secret} />
        <fieldset className="grid gap-2">
          <legend className="pb-2 font-semibold">The phone joins as</legend>
          {ROLES.toReversed().map((role) => (
            <label key={role} className="flex min-h-12 items-start gap-3">
              <input
                type="radio"
                name="role"
                value={role}
                defaultChecked={role === "helper"}
                className="mt-1 size-5 shrink-0"
              />
              <span>
                <b>{ROLE_WORDS[role].name}</b>
                <span className="block text-sm text-soft">{ROLE_WORDS[role].may}</span>
              </span>
            </label>
          ))}
        </fieldset>
        {fault && <p role="alert">{fault}</p>}
        <div>
          <Button kind={code ? "plain" : "main"}>{code ? "Show another code" : "Show a code"}</Button>
        </div>
      </Form>
      {invitations.length > 0 && (
        <ul className="pt-4" aria-label="Codes that work now">
          {invitations.map(({ id, entryId: of, role, endsAt, joinedCount }) => (
            <li
              key={id}
              className="flex flex-wrap items-baseline justify-between gap-3 border-t border-rule py-2"
            >
              <span>
                A {ROLE_WORDS[role].name.toLowerCase()}'s code, until {show.dayTime(endsAt)};{" "}
                {joinedCount === 0 ? "no phone joined yet" : `${plural(joinedCount, "phone")} joined`}
              </span>
              <RemoveButton entryId={of} back="/farm/access" what={`this ${role}'s code`} verb="cancel" />
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}

/** To be photographed by a phone, or printed and hung up. It can't be shown again. */
function Code({ role, endsAt, pictures }: ShownCode) {
  const show = useShow();
  const [first, ...others] = pictures;
  if (!first) return null;
  return (
    <div className="mb-5 grid gap-3 border-b border-rule pb-5" role="status">
      <p>
        Scan this with the {ROLE_WORDS[role].name.toLowerCase()}'s phone. It works until{" "}
        {show.dayTime(endsAt)}
        {role === "owner" ? ", for one phone" : ""}. It is shown only once: print this page, or show another
        code later.
      </p>
      <CodeOf {...first} />
      {others.length > 0 && (
        <details>
          <summary className="min-h-12 content-center underline">The phone can't open it?</summary>
          <div className="grid gap-4 sm:grid-cols-2">
            {others.map((one) => (
              <CodeOf key={one.address} {...one} />
            ))}
          </div>
        </details>
      )}
    </div>
  );
}

/** White around it, or cameras don't find its edge. */
const QUIET_MODULES = 4;

function CodeOf({ address, picture: { width, height, blocks } }: ShownCode["pictures"][number]) {
  const quiet = QUIET_MODULES;
  return (
    <figure className="grid gap-2">
      <svg
        role="img"
        aria-label="Code to join"
        viewBox={`${-quiet} ${-quiet} ${width + 2 * quiet} ${height + 2 * quiet}`}
        className="w-64 bg-white"
        shapeRendering="crispEdges"
      >
        {blocks.map(([x, y, w, h]) => (
          <rect key={`${x} ${y}`} x={x} y={y} width={w} height={h} className="fill-ink" />
        ))}
      </svg>
      <figcaption className="text-sm break-all text-soft">{address}</figcaption>
    </figure>
  );
}
