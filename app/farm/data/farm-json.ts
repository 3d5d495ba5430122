import { exported } from "#app/farm/data/exported.server.ts";
import { farmLifeContext } from "#app/server/farm/farm-life.server.ts";
import type { Route } from "./+types/farm-json.ts";

/** The whole farm as JSON: docs/data.md says how it is written. */
export const loader = ({ context }: Route.LoaderArgs) =>
  exported("export-farm", context.get(farmLifeContext).path, {
    name: "farm.json",
    type: "application/json; charset=utf-8",
  });
