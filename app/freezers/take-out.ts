import { data, redirect } from "react-router";
import { z } from "zod";
import { tickedPacks } from "#app/freezers/ticked.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { WAYS_OUT } from "#db/freezer/freezer-queries.server.ts";
import type { Route } from "./+types/take-out.ts";

const HowOut = z.enum(WAYS_OUT);

/** The ticked packs leave the refrigerator or freezer today. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const { fields, entryId, packIds, back } = await tickedPacks(request);
  const how = HowOut.safeParse(fields.get("how"));
  if (!how.success) throw data("Choose how the packs left: sold, eaten, given, or spoiled.", { status: 400 });
  const outcome = here.file.freezers.takeOut({ entryId, at: here.now() }, packIds, {
    outOn: localDayOf(here.now(), farm.timeZone),
    how: how.data,
  });
  if (!outcome.recorded)
    throw data(
      "One of those packs was already taken out. Nothing was changed. Go back and reload the page.",
      {
        status: 409,
      },
    );
  return redirect(back, 303);
}
