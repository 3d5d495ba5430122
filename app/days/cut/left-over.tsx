import { Link } from "react-router";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { PRODUCT_WORDS, piecesInWords } from "#app/words/packing/product-words.ts";
import type { Route } from "./+types/cut.ts";

/** Pieces that an earlier day left over: they are packed under their own day, so that a pack is always of one lot. */
export function LeftOver({ waiting, products }: Route.ComponentProps["loaderData"]) {
  const show = useShow();
  if (waiting.length === 0) return null;
  return (
    <Sheet heading="Left from earlier days">
      <ul>
        {waiting.map(({ dayId, processedOn, product, pieces }) => {
          const row = products.find(({ kind }) => kind === product);
          return (
            <li
              key={`${dayId} ${product}`}
              className="flex flex-wrap justify-between gap-3 border-b border-rule py-2"
            >
              <span>
                {piecesInWords(product, pieces)} of {show.shortDay(processedOn)}
              </span>
              {row && (
                <Link to={`/days/${dayId}/pack/parts/${row.id}`} className="underline print:hidden">
                  Pack {(row.name || PRODUCT_WORDS[product].name).toLowerCase()} of that day
                </Link>
              )}
            </li>
          );
        })}
      </ul>
      <p className="pt-2 text-sm text-soft">
        Each pack is of one lot, so that its label stays true. Freeze or cook them soon; how long raw birds
        may wait in a refrigerator, your local rules say.
      </p>
    </Sheet>
  );
}
