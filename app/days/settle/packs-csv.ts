import Papa from "papaparse";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { productName } from "#app/words/packing/product-words.ts";
import { packCode } from "#core/label/pack-code.ts";
import { packPrice } from "#core/label/pack-price.ts";
import type { Route } from "./+types/packs-csv.ts";

const COLUMNS = [
  "processed_on",
  "batch",
  "pack",
  "product",
  "pieces",
  "bird",
  "purpose",
  "gross_milligrams",
  "tare_milligrams",
  "net_milligrams",
  "milliliters",
  "as_typed",
  "place",
  "packed_by",
  "packed_at",
  "price_cents",
  "price_unit",
  "total_cents",
  "is_stored",
] as const;

/** The packs of a day, a row each: exact milligrams and milliliters, and what was typed. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  const products = here.file.catalog.products();
  const named = (list: readonly { readonly id: number; readonly name: string }[], id: number | undefined) =>
    list.find((one) => one.id === id)?.name ?? "";
  const places = here.file.places();
  const people = here.file.people.people();
  const rows = here.file.pack.packs(day.id).map((pack) => ({
    processed_on: day.processedOn,
    batch: lots.find(({ id }) => id === pack.lotId)?.batchName ?? "",
    pack: packCode(pack.id),
    product: productName(products.find(({ id }) => id === pack.productId)!),
    pieces: pack.pieces,
    bird: pack.birdNumber ?? "",
    purpose: pack.purpose,
    gross_milligrams: pack.weightMilligrams === undefined ? "" : pack.weightMilligrams + pack.tareMilligrams,
    tare_milligrams: pack.tareMilligrams,
    net_milligrams: pack.weightMilligrams ?? "",
    milliliters: pack.volumeMilliliters ?? "",
    as_typed: pack.asTyped,
    place: named(places, pack.placeId),
    packed_by: named(people, pack.packedBy),
    packed_at: new Date(pack.packedAt).toISOString(),
    price_cents: pack.priceCents ?? "",
    price_unit: pack.priceCents === undefined ? "" : pack.priceUnit,
    total_cents: packPrice(pack) ?? "",
    is_stored: pack.isStored ? 1 : 0,
  }));
  // A text that begins like a formula would be run by a spreadsheet.
  const csv = Papa.unparse(rows, { columns: [...COLUMNS], escapeFormulae: true, newline: "\r\n" });
  return new Response(`${csv}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="packs-${day.processedOn}.csv"`,
    },
  });
}
