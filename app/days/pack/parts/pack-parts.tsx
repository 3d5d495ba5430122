import { data, redirect } from "react-router";
import { DayHead } from "#app/days/leaves.tsx";
import { NotPrinted } from "#app/days/pack/not-printed.tsx";
import { PackedOfProduct } from "#app/days/pack/parts/packed-of-product.tsx";
import { doubtOf, factsOf } from "#app/days/pack/parts/parts-facts.server.ts";
import { partsForm } from "#app/days/pack/parts/parts-form.ts";
import { WeighParts } from "#app/days/pack/parts/weigh-parts.tsx";
import { ProductTabs } from "#app/days/pack/product-tabs.tsx";
import { Redone } from "#app/days/pack/redone.tsx";
import { lotsToPack, packsByProduct } from "#app/server/day/packs-of-day.server.ts";
import { roomOfPlaces } from "#app/server/day/room-of-places.server.ts";
import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { printerAddress } from "#app/server/device/label-printer.server.ts";
import { type FarmContext, farmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom, requireDay } from "#app/server/farm/required.server.ts";
import { printAtOnce, unprintedOf, wasPrinted } from "#app/server/freezer/print-labels.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { Notice, Page } from "#app/ui/sheet.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { plural, showFor } from "#app/words/show.ts";
import { piecesLeft } from "#core/packing/pieces-left.ts";
import { productKind } from "#core/packing/product-kinds.ts";
import type { Product } from "#db/pack/product-queries.server.ts";
import type { Route } from "./+types/pack-parts.ts";

export const meta = () => [{ title: "Pack · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const product = requireProduct(here, params.productId);
  const products = here.file.catalog.products();
  const packs = here.file.pack.packs(day.id);
  const packed = packs.map(({ productId, ...pack }) => ({
    ...pack,
    product: products.find(({ id }) => id === productId)!.kind,
  }));
  const own = packs.filter(({ productId }) => productId === product.id);
  return {
    day,
    product,
    products,
    unprinted: unprintedOf(here, request),
    printsLabel: wasPrinted(here, own.at(-1)),
    counts: packsByProduct(packs),
    own,
    lots: lotsToPack(here, day, lots, here.file.pack.carcasses(day.id)).map((lot) => ({
      ...lot,
      left: piecesLeft(
        product.kind,
        lot,
        packed.filter(({ lotId }) => lotId === lot.id),
      ),
    })),
    places: roomOfPlaces(here),
    people: here.file.people.people().map(({ id, name }) => ({ id, name })),
    containers: here.file.catalog.containers(),
    devices: attachedDevices(here).statuses(),
    redone: here.file.redoing.redone(day.id),
    hasPrinter: printerAddress(here) !== undefined,
    unitSystem: farm.unitSystem,
    entryId: newEntryId(),
  };
}

/** @throws a 404 page if there is no such product, or it is a whole bird, which has a page of its own */
function requireProduct(here: FarmContext, text: string | undefined): Product {
  const id = idFrom(text, "product");
  const product = here.file.catalog.products().find((one) => one.id === id);
  if (!product || productKind(product.kind).piece === "carcass")
    throw data("That product does not exist.", { status: 404 });
  return product;
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const product = requireProduct(here, params.productId);
  const isByVolume = "liters" in productKind(product.kind).pack;
  const sent = await submitted(here, request, partsForm(farm.unitSystem, isByVolume));
  if (!sent.ok) return sent.refusal;
  const facts = factsOf(here, { product, lots }, sent.value);
  if (!facts.ok) return sent.refuse(facts.faults);
  // What is sent again was looked at before.
  const isKnown = here.file.knowsEntry(sent.entry.entryId);
  if (!isKnown && product.kind === "canned-jar" && jarsLeft(here, day.id, product.id) <= 0)
    return sent.refuse({ "": NO_JAR_LEFT });
  const doubt = isKnown
    ? undefined
    : doubtOf(here, { day, lots, product }, facts.pack, sent.value.isSure, showFor(farm));
  if (doubt) return sent.refuse(doubt);
  const outcome = here.file.pack.recordPacks(sent.entry, day.id, [facts.pack]);
  const faults = faultsOf(outcome, {
    "bird-already-packed": { "": "That bird was packed already" },
    "day-settled": { "": "This day is settled and locked. Reopen it under Settle first" },
    "lot-unknown": { lotId: "That lot was taken off this day. Choose another" },
    "place-unknown": { placeId: "That place was removed. Choose another" },
    "product-unknown": { "": "That product was removed. Choose another" },
    "pack-unknown": { "": "That pack was removed. Reload the page" },
  });
  if (faults) return sent.refuse(faults);
  const unprinted = sent.value.printsLabel ? await printAtOnce(here, sent.entry.entryId) : "";
  return redirect(`/days/${day.id}/pack/parts/${product.id}${unprinted}`, 303);
}

/** Jars of a day whose lids sealed in a tested process, and that are in no pack yet. */
const jarsLeft = ({ file }: FarmContext, dayId: number, productId: number): number =>
  file.canning.loads(dayId).reduce((sum, { sealed }) => sum + sealed, 0) -
  file.pack.packs(dayId).filter((pack) => pack.productId === productId).length;

const NO_JAR_LEFT =
  "No sealed jar is left that was canned by a tested process. Record the load under Cut, Canning; otherwise refrigerate or freeze it as broth";

export default function PackParts({ loaderData, actionData }: Route.ComponentProps) {
  const { day, lots, product, products, counts, own } = loaderData;
  return (
    <Page isWide>
      <DayHead
        dayId={day.id}
        processedOn={day.processedOn}
        line={`${batchesInWords(lots)} · ${plural(own.length, "pack")} of ${productName(product).toLowerCase()}`}
      />
      <ProductTabs dayId={day.id} products={products} packed={counts} currentId={product.id} />
      <div className="grid gap-5 lg:grid-cols-3">
        <div className="grid content-start gap-5 lg:col-span-2">
          <NotPrinted unprinted={loaderData.unprinted} />
          {day.settledEntryId ? (
            <Notice tone="plain">This day is settled and locked. Reopen it under Settle to pack more.</Notice>
          ) : (
            <WeighParts key={own.at(-1)?.entryId ?? "first"} {...loaderData} refusal={actionData} />
          )}
        </div>
        <div className="grid content-start gap-5">
          <PackedOfProduct {...loaderData} />
          <Redone
            dayId={day.id}
            productId={product.id}
            redone={loaderData.redone}
            packs={own.length}
            entryId={loaderData.entryId}
            back={`/days/${day.id}/pack/parts/${product.id}`}
          />
        </div>
      </div>
    </Page>
  );
}
