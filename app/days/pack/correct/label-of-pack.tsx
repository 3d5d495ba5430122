import { Form, Link } from "react-router";
import { Figure } from "#app/ui/figure.tsx";
import { LabelPicture } from "#app/ui/label/label-picture.tsx";
import { PrintLabels } from "#app/ui/label/print-labels.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { MISSING_WORDS } from "#app/words/packing/label-words.ts";
import type { Route } from "./+types/correct-pack.ts";

/** The pack's label, what it lacks, and every label of it that was printed: an old one says what it said. */
export function LabelOfPack({ label, pack, day, entryId }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  if (!label) return null;
  return (
    <Sheet heading="Label">
      <div className="overflow-x-auto py-2">
        <LabelPicture template={label.setting} texts={label.texts} code={label.code} />
      </div>
      {label.price && <Figure size="small" label="Price on the label" reckoning={label.price} />}
      {label.missing.length > 0 ? (
        <p className="pb-2 font-semibold text-barn">
          Missing for your rule: {label.missing.map((part) => MISSING_WORDS[part]).join("; ")}.{" "}
          <Link to="/freezers/labels" className="underline">
            Set up labels
          </Link>
        </p>
      ) : (
        <Form method="post" action="/freezers/labels/print" reloadDocument className="pb-2">
          <input type="hidden" name="entryId" value={`${entryId}-label`} />
          <input type="hidden" name="packId" value={pack.id} />
          <input type="hidden" name="from" value={pack.placeId ?? 0} />
          <PrintLabels what="this label" hasPrinter={label.hasPrinter} />
        </Form>
      )}
      <ol>
        {label.prints.map((print) => (
          <li
            key={print.entryId}
            className="flex items-baseline justify-between gap-3 border-t border-rule py-1 text-sm"
          >
            <span className={print.isVoid ? "line-through" : ""}>
              Printed {show.dateTime(print.printedAt)}: {print.texts.product}, {print.texts["net-weight"]}
            </span>
            {print.isVoid ? (
              <span className="text-soft">void</span>
            ) : (
              <RemoveButton
                entryId={print.entryId}
                back={`/days/${day.id}/pack/${pack.id}`}
                what="this printed label: it is void"
              />
            )}
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
