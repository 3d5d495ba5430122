import { Link } from "react-router";
import { type Column, DataTable } from "#app/ui/data-table.tsx";
import { Figure, PROVENANCE_CLASS } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRODUCT_WORDS } from "#app/words/packing/product-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import type { ExpectedCut } from "#core/cutting/cut-list.ts";
import type { Route } from "./+types/cut.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** What a lot's birds make: pieces, packs of a fixed count, what is left over, and how much of it is packed already. */
export function CutParts({ lot, ...loaded }: Loaded & { lot: Loaded["cutting"]["lots"][number] }) {
  const show = useShow();
  const { list, cutUp, batchName } = lot;
  return (
    <Sheet
      heading={`${plural(cutUp, "bird")} of ${batchName}`}
      beside={`about ${plural(list.packs, "pack")}`}
    >
      <DataTable
        className="text-base"
        caption="What they make"
        columns={columnsOf(loaded, show)}
        rows={list.cuts}
        keyOf={({ product }) => product}
      />
      <p className="py-2">
        What is left over goes into an odd pack, or waits for the next day's. An odd pack counts as one.
      </p>
      <div className="grid gap-x-8 sm:grid-cols-2">
        <Figure label="To cut" reckoning={list.cutting} />
        <Figure
          label="To bag and seal"
          reckoning={list.sealing}
          beside={`${plural(list.sealCycles, "cycle")} of the sealer`}
        />
      </div>
      {loaded.cutting.entryId === undefined && (
        <p className="pb-2 text-sm text-soft">With a knife and one pack a cycle, until you say otherwise.</p>
      )}
      <details className="print:hidden">
        <summary className="lone-link text-sm text-soft">What each cut should weigh</summary>
        {list.cuts.map(
          ({ product, weight }) =>
            weight && (
              <Figure key={product} size="small" label={PRODUCT_WORDS[product].name} reckoning={weight} />
            ),
        )}
      </details>
    </Sheet>
  );
}

function columnsOf({ day, packs, products }: Loaded, show: Show): Column<ExpectedCut>[] {
  const productOf = (kind: string) => products.find((product) => product.kind === kind);
  const packedOf = (kind: string) =>
    packs
      .filter(({ productId }) => productId === productOf(kind)?.id)
      .reduce((sum, { pieces }) => sum + pieces, 0);
  return [
    {
      head: "Cut",
      cell: ({ product }) => {
        const row = productOf(product);
        const name = row?.name || PRODUCT_WORDS[product].name;
        return row ? (
          <Link to={`/days/${day.id}/pack/parts/${row.id}`} className="lone-link">
            {name}
          </Link>
        ) : (
          name
        );
      },
    },
    { head: "Pieces", isNumber: true, cell: ({ pieces }) => pieces },
    { head: "A pack", isNumber: true, cell: ({ piecesPerPack }) => piecesPerPack },
    { head: "Packs", isNumber: true, cell: (cut) => cut.packs },
    { head: "Left over", isNumber: true, cell: ({ leftOver }) => leftOver || "–" },
    {
      head: "About",
      isNumber: true,
      isWideOnly: true,
      cell: ({ weight }) =>
        weight === undefined ? (
          "–"
        ) : (
          <span className={PROVENANCE_CLASS[weight.provenance]}>{show.value(weight.value, weight.unit)}</span>
        ),
    },
    {
      head: "Packed",
      isNumber: true,
      cell: ({ product, pieces }) => `${packedOf(product)} of ${pieces}`,
    },
  ];
}
