import { data, redirect } from "react-router";
import { z } from "zod";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { entryId } from "#app/ui/read/read-field.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { WAYS_OUT } from "#db/freezer/freezer-queries.server.ts";
import type { Route } from "./+types/take-out.ts";

const Out = z.object({
  entryId,
  packId: z
    .string()
    .regex(/^\d{1,9}$/)
    .transform(Number),
  how: z.enum(WAYS_OUT),
});

/** One bird leaves the fridge or freezer today. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const out = Out.safeParse(Object.fromEntries(await formFields(request)));
  if (!out.success) throw data("Choose a bird and how it left.", { status: 400 });
  const outcome = here.file.freezers.takeOut(
    { entryId: out.data.entryId, at: here.now() },
    [out.data.packId],
    {
      outOn: localDayOf(here.now(), farm.timeZone),
      how: out.data.how,
    },
  );
  if (!outcome.recorded)
    throw data("That bird was already removed, or this page was already sent. Reload the page.", {
      status: 409,
    });
  return redirect("/freezers", 303);
}
