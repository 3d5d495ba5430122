import { Form } from "react-router";
import type { FieldFaults } from "#app/access/join-form.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";

interface PassphraseSheetProps {
  hasPassphrase: boolean;
  isSecure: boolean;
  entryId: string;
  faults: FieldFaults;
}

/** What owners sign in with. Setting it opens the farm to its network, so what that gives up is read first. */
export function PassphraseSheet({ hasPassphrase, isSecure, entryId, faults }: PassphraseSheetProps) {
  return (
    <Sheet
      heading={hasPassphrase ? "Change the passphrase" : "Set a passphrase first"}
      beside={hasPassphrase ? "one is set" : undefined}
    >
      <Form method="post" className="grid gap-5 pb-3" noValidate>
        <input type="hidden" name="deed" value="passphrase" />
        <input type="hidden" name="entryId" value={`${entryId}-pass`} />
        <AskBox
          name="passphrase"
          label={hasPassphrase ? "New passphrase" : "Passphrase"}
          hint="Owners use it to sign in on a new phone. Four unrelated words are easy to type and hard to guess."
          autoComplete="new-password"
          fault={faults.passphrase}
        />
        <label className="flex min-h-12 items-start gap-3">
          <input
            type="checkbox"
            name="hasRead"
            className="mt-1 size-5 shrink-0"
            aria-invalid={faults.hasRead !== undefined}
          />
          <span>
            {isSecure
              ? "I understand that anyone with the passphrase can see and change everything, including money."
              : "I understand that anyone with the passphrase can see and change everything, including money, and that this connection is not encrypted: someone on the farm's network could read what is sent, including the passphrase."}
          </span>
        </label>
        {faults.hasRead && (
          <p role="alert" className="text-barn">
            {faults.hasRead}
          </p>
        )}
        <div>
          <Button kind={hasPassphrase ? "plain" : "main"}>
            {hasPassphrase ? "Change passphrase" : "Set passphrase"}
          </Button>
        </div>
      </Form>
    </Sheet>
  );
}
