import { data, redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { entryId } from "#app/ui/read/read-field.ts";
import { PLACE_SETTINGS } from "#db/place/place-queries.server.ts";
import type { Route } from "./+types/switch-place.ts";

const Switch = z.object({ entryId, setting: z.enum(PLACE_SETTINGS) });

/** A refrigerator is set to freeze, or a freezer to its quick setting, or back. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const placeId = idFrom(params.placeId, "place");
  const read = Switch.safeParse(Object.fromEntries(await formFields(request)));
  if (!read.success) throw data("Choose what to set it to.", { status: 400 });
  const { entryId: id, setting } = read.data;
  const outcome = here.file.switchPlace({ entryId: id, at: here.now() }, placeId, setting);
  if (!outcome.recorded) throw data("That refrigerator or freezer was removed.", { status: 409 });
  return redirect(`/freezers/place/${placeId}`, 303);
}
