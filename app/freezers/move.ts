import { data, redirect } from "react-router";
import { tickedPacks } from "#app/freezers/ticked.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/move.ts";

/** The ticked packs are carried to another place. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { fields, entryId, packIds, back } = await tickedPacks(request);
  const placeId = idFrom(String(fields.get("placeId") ?? ""), "place");
  const outcome = here.file.freezers.move({ entryId, at: here.now() }, packIds, placeId);
  if (!outcome.recorded)
    throw data(
      outcome.reason === "place-unknown"
        ? "That refrigerator or freezer was removed. Nothing was moved."
        : "One of those packs was already taken out. Nothing was moved. Go back and reload the page.",
      { status: 409 },
    );
  return redirect(back, 303);
}
