import { Link } from "react-router";
import type { UnprintedLabel } from "#app/server/freezer/print-labels.server.ts";
import { Notice } from "#app/ui/sheet.tsx";
import { packCode } from "#core/label/pack-code.ts";

/** A pack was saved and its label did not come out: the pack stands, and the label can be printed later. */
export function NotPrinted({ unprinted }: { unprinted: UnprintedLabel | undefined }) {
  if (!unprinted) return null;
  return (
    <Notice tone="heed">
      <b>
        <Link to={`/days/${unprinted.dayId}/pack/${unprinted.packId}`} className="underline">
          Pack {packCode(unprinted.packId)}
        </Link>{" "}
        is saved, its label was not printed.
      </b>{" "}
      {unprinted.fault}
    </Notice>
  );
}
