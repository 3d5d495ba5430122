import { Form, Link } from "react-router";
import { DotPlot } from "#app/days/pack/dot-plot.tsx";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { PrintLabels } from "#app/ui/label/print-labels.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { piecesInWords, productName } from "#app/words/packing/product-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Pack } from "#db/pack/pack-row.server.ts";
import type { Route } from "./+types/pack-parts.ts";

/** Packs of one product so far: together, as dots, and each with its way to be corrected. */
export function PackedOfProduct({
  own,
  product,
  day,
  hasPrinter,
  entryId,
}: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  const weights = own.flatMap(({ weightMilligrams }) => weightMilligrams ?? []);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const pieces = own.reduce((sum, pack) => sum + pack.pieces, 0);
  if (own.length === 0)
    return (
      <Sheet heading="So far">
        <p className="py-1">
          No packs of {productName(product).toLowerCase()} yet. Put one on the scale: the weight, the count
          and the place stay as they are until you change them.
        </p>
      </Sheet>
    );
  const sentence = [
    plural(own.length, "pack"),
    piecesInWords(product.kind, pieces),
    weights.length > 0 ? show.bird(total) : undefined,
    weights.length > 0 && show.isUs && total > 500_000 ? show.bulk(total) : undefined,
  ]
    .filter(Boolean)
    .join(" · ");
  return (
    <Sheet heading="So far" beside={productName(product)}>
      <p className="py-1 text-lg">{sentence}</p>
      {weights.length > 1 && <DotPlot weights={weights} sentence={sentence} />}
      <DataTable
        caption="Packs, newest first"
        columns={columnsOf(day.id, show)}
        rows={own.toReversed()}
        keyOf={({ id }) => id}
      />
      <Form method="post" action="/freezers/labels/print" reloadDocument className="py-2 print:hidden">
        <input type="hidden" name="entryId" value={`${entryId}-labels`} />
        {own.map(({ id }) => (
          <input key={id} type="hidden" name="packId" value={id} />
        ))}
        <PrintLabels what={`these ${own.length} labels`} hasPrinter={hasPrinter} />
      </Form>
    </Sheet>
  );
}

const columnsOf = (dayId: number, show: Show): Column<Pack>[] => [
  {
    head: "Pack",
    cell: ({ id }) => (
      <Link to={`/days/${dayId}/pack/${id}`} className="lone-link font-mono">
        {packCode(id)}
      </Link>
    ),
  },
  { head: "Pieces", isNumber: true, cell: ({ pieces: count }) => count || "–" },
  {
    head: "Net",
    isNumber: true,
    cell: ({ weightMilligrams, volumeMilliliters }) =>
      weightMilligrams === undefined ? show.filled(volumeMilliliters ?? 0) : show.exactBird(weightMilligrams),
  },
];
