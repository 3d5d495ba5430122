import { redirect } from "react-router";
import { refuseSettled } from "#app/days/run/refuse-settled.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/undo.ts";

/** Takes the named tap back; the tap stays in the file, and so does the undo. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const fields = await formFields(request);
  const outcome = here.file.run.remove(day.id, String(fields.get("entryId") ?? ""), here.now());
  const isForPhone = fields.has("answer");
  if (outcome === "day-settled") return refuseSettled(isForPhone);
  return isForPhone
    ? Response.json({ events: here.file.run.events(day.id) })
    : redirect(`/days/${day.id}/run`, 303);
}
