import { exported } from "#app/farm/data/exported.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import type { Route } from "./+types/farm-csv.ts";

/** The whole farm as CSV in its own units, a file for each table, in a zip. */
export const loader = ({ context }: Route.LoaderArgs) =>
  exported("export-csv", context.get(farmLifeContext).path, {
    name: "farm-csv.zip",
    type: "application/zip",
  });
