import { Form } from "react-router";
import { AgreedEnd } from "#app/ui/agreed-end.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/words/show.ts";

interface ForgetSheetProps {
  name: string;
  /** What stands in the place of the name from then on. */
  alias: string;
  /** What else goes or stays, a sentence each. */
  more: readonly string[];
  /** Backups that were asked for, and those made automatically. */
  kept: number;
  own: number;
  fault: string | undefined;
  cancelTo: string;
}

/** What it means that someone is forgotten, before it is done. */
export function ForgetSheet({ name, alias, more, kept, own, fault, cancelTo }: ForgetSheetProps) {
  return (
    <Sheet heading="What happens" className="max-w-prose">
      <ul className="list-disc py-1 pl-5">
        <li>
          Everywhere in this farm's file “{name}” becomes “{alias}”, the history included.
        </li>
        {more.map((one) => (
          <li key={one}>{one}</li>
        ))}
        <li>{backupsInWords(own, kept)}</li>
        <li>Phones, printed pages, and files downloaded earlier are not changed.</li>
      </ul>
      <Form method="post" className="grid gap-3 py-2" noValidate>
        <AgreedEnd name="isSure" fault={fault} submit={`Forget ${name}`} cancelTo={cancelTo}>
          Yes, forget {name}
        </AgreedEnd>
      </Form>
    </Sheet>
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
