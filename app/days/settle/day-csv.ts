import Papa from "papaparse";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/day-csv.ts";

/** The birds of a day, a row each: exact milligrams, and what was typed. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, batch } = requireDay(here, params.dayId);
  const places = new Map(here.file.places().map((place) => [place.id, place.name]));
  const rows = here.file.pack.carcasses(day.id).map((carcass) => ({
    processed_on: day.processedOn,
    batch: batch.name,
    bird: carcass.birdNumber,
    purpose: carcass.purpose,
    weight_milligrams: carcass.weightMilligrams ?? "",
    as_typed: carcass.asTyped,
    reason: carcass.reason,
    place: carcass.placeId === undefined ? "" : (places.get(carcass.placeId) ?? ""),
    packed_at: new Date(carcass.packedAt).toISOString(),
  }));
  const columns = [
    "processed_on",
    "batch",
    "bird",
    "purpose",
    "weight_milligrams",
    "as_typed",
    "reason",
    "place",
    "packed_at",
  ];
  // A text that begins like a formula would be run by a spreadsheet.
  const csv = Papa.unparse(rows, { columns, escapeFormulae: true, newline: "\r\n" });
  return new Response(`${csv}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="day-${day.processedOn}.csv"`,
    },
  });
}
