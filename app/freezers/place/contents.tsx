import { Form, Link } from "react-router";
import { PrintLabels } from "#app/ui/label/print-labels.tsx";
import { Button, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { useMayOpen } from "#app/ui/visitor/role.tsx";
import { piecesInWords, productName } from "#app/words/packing/product-words.ts";
import { plural } from "#app/words/show.ts";
import { USE_WORDS } from "#app/words/words.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Route } from "./+types/place.ts";

type Loaded = Route.ComponentProps["loaderData"];

/** Every pack in the place, to be ticked and moved or taken out together. */
export function Contents({ packs, others, place, waysOut, hasPrinter, entryId }: Loaded) {
  return (
    <Form method="post" reloadDocument>
      <input type="hidden" name="entryId" value={entryId} />
      <input type="hidden" name="from" value={place?.id ?? 0} />
      <Sheet heading="Contents" beside={`${plural(packs.length, "pack")}, the oldest first`}>
        <ul className="grid gap-x-6 xl:grid-cols-2">
          {packs.map((pack) => (
            <PackRow key={pack.id} pack={pack} />
          ))}
        </ul>
        <WithTicked others={others} waysOut={waysOut} hasPrinter={hasPrinter} />
      </Sheet>
    </Form>
  );
}

/** One pack: what it is, what it weighs, and the way to its own page. */
function PackRow({ pack }: { pack: Loaded["packs"][number] }) {
  const show = useShow();
  return (
    <li className="border-b border-rule">
      <label className="flex min-h-12 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          name="packId"
          value={pack.id}
          className="size-6 shrink-0 accent-pine print:hidden"
        />
        <span className="grow">
          <b>{productName({ kind: pack.productKind, name: pack.productName })}</b>{" "}
          {pack.birdNumber === undefined
            ? piecesInWords(pack.productKind, pack.pieces)
            : `bird ${pack.birdNumber}`}
          <span className="block text-sm text-soft">
            {pack.batchName}, packed {show.dateTime(pack.packedAt).replace(/,[^,]*$/, "")},{" "}
            {USE_WORDS[pack.purpose]}
            {pack.isPast && <b className="text-barn"> · eat or sell first</b>}
          </span>
        </span>
        <span className="text-right">
          <span className="block whitespace-nowrap font-mono">
            {pack.weightMilligrams === undefined
              ? show.filled(pack.volumeMilliliters ?? 0)
              : show.bird(pack.weightMilligrams)}
          </span>
          <Link to={`/days/${pack.dayId}/pack/${pack.id}`} className="lone-link font-mono text-sm text-soft">
            {packCode(pack.id)}
          </Link>
        </span>
      </label>
    </li>
  );
}

/** What can be done with all packs that are ticked. */
function WithTicked({ others, waysOut, hasPrinter }: Pick<Loaded, "others" | "waysOut" | "hasPrinter">) {
  const maySell = useMayOpen()("/orders/sell");
  return (
    <div className="grid gap-3 border-t border-rule bg-leaf py-3 md:sticky md:bottom-0 print:hidden">
      {others.length > 0 && (
        <div className="flex flex-wrap items-end gap-2">
          <label className="grid gap-1">
            <span className="font-semibold">Move the ticked packs to</span>
            <select name="placeId" className="field-box">
              {others.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <Button kind="plain" formAction="/freezers/move">
            Move
          </Button>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <span className="font-semibold">Take out the ticked packs:</span>
        {waysOut.map((how) =>
          how === "sold" && maySell ? (
            // To whom and for how much is asked there.
            <Button key={how} kind="plain" formMethod="get" formAction="/orders/sell">
              sold
            </Button>
          ) : (
            <Button key={how} kind="plain" name="how" value={how} formAction="/freezers/out">
              {how}
            </Button>
          ),
        )}
      </div>
      <PrintLabels what="the ticked labels" hasPrinter={hasPrinter} />
    </div>
  );
}
