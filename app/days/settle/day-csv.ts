import Papa from "papaparse";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { ownerNames } from "#app/server/farm/owners.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/day-csv.ts";

/** The birds of a day, a row each: exact milligrams, and what was typed. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  const places = new Map(here.file.places().map((place) => [place.id, place.name]));
  const owners = ownerNames(here, day);
  const rows = here.file.pack.carcasses(day.id).map((carcass) => ({
    processed_on: day.processedOn,
    batch: lots.find(({ id }) => id === carcass.lotId)?.batchName ?? "",
    bird: carcass.birdNumber,
    purpose: carcass.purpose,
    weight_milligrams: carcass.weightMilligrams ?? "",
    as_typed: carcass.asTyped,
    reason: carcass.reason,
    place: carcass.placeId === undefined ? "" : (places.get(carcass.placeId) ?? ""),
    packed_at: new Date(carcass.packedAt).toISOString(),
    owner: owners[carcass.lotId] ?? "",
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
    "owner",
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
