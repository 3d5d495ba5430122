import { Form } from "react-router";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { REDO_WORDS } from "#app/words/packing/product-words.ts";
import { plural } from "#app/words/show.ts";
import { REDO_CAUSES } from "#core/packing/redo.ts";
import type { Redone as RedonePacks } from "#db/pack/redo-queries.server.ts";

interface RedoneProps {
  dayId: number;
  productId: number;
  redone: readonly RedonePacks[];
  /** Packs of the product that stand. */
  packs: number;
  entryId: string;
  /** The page that a removal leads back to. */
  back: string;
}

/** Leaks and packs done again, counted with their cause, so that the next day's bags, ties or seals are better. */
export function Redone({ dayId, productId, redone, packs, entryId, back }: RedoneProps) {
  const own = redone.filter((one) => one.productId === productId);
  const all = own.reduce((sum, one) => sum + one.packs, 0);
  return (
    <Sheet
      heading="Redone"
      beside={all > 0 ? `${all} beside ${plural(packs, "pack")}` : "none yet"}
      className="print:hidden"
    >
      <details open={all > 0}>
        <summary className="min-h-12 content-center text-soft underline">
          A bag leaks, or a pack must be redone
        </summary>
        <Form method="post" action={`/days/${dayId}/pack/redo`} className="grid grid-cols-2 gap-2 py-2">
          <input type="hidden" name="entryId" value={`${entryId}-redo`} />
          <input type="hidden" name="productId" value={productId} />
          {REDO_CAUSES.map((cause) => (
            <Button key={cause} kind="plain" name="cause" value={cause} className="min-h-16">
              {REDO_WORDS[cause].tap}
            </Button>
          ))}
        </Form>
        <ul>
          {own.map(({ cause, packs: count, lastEntryId }) => (
            <li key={cause} className="flex items-baseline justify-between gap-3 border-b border-rule py-1">
              <span>
                {count} × {REDO_WORDS[cause].tap.toLowerCase()}. {REDO_WORDS[cause].remedy}
              </span>
              <RemoveButton
                entryId={lastEntryId}
                back={back}
                what={`one ${REDO_WORDS[cause].tap.toLowerCase()}`}
              />
            </li>
          ))}
        </ul>
      </details>
    </Sheet>
  );
}
