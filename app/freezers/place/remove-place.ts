import { data, redirect } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Route } from "./+types/remove-place.ts";

/** Removes an empty place. What lies in one must be moved or taken out first. */
export async function action({ context, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const placeId = idFrom(params.placeId, "place");
  if (here.file.removePlace(placeId, here.now()) === "not-empty")
    throw data("There are packs in it. Tick them, move them to another place, and remove it then.", {
      status: 409,
    });
  return redirect("/freezers", 303);
}
