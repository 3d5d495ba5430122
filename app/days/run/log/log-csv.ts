import Papa from "papaparse";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/log-csv.ts";

const COLUMNS = [
  "at",
  "kind",
  "birds",
  "number",
  "celsius",
  "bags",
  "word",
  "note",
  "person",
  "device",
  "id",
  "of",
];

/** Everything that was tapped on a day, a row each, in order: feed-off, the chill log, and all the rest. */
export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const rows = here.file.run.facts(day.id).map(({ entryId, at, ...fact }) => ({
    ...fact,
    at: new Date(at).toISOString(),
    id: entryId,
  }));
  // A text that begins like a formula would be run by a spreadsheet.
  const csv = Papa.unparse(rows, { columns: COLUMNS, escapeFormulae: true, newline: "\r\n" });
  return new Response(`${csv}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="log-${day.processedOn}.csv"`,
    },
  });
}
