import { redirect } from "react-router";
import { refuseSettled } from "#app/days/run/refuse-settled.ts";
import { now } from "#app/server/clock.server.ts";
import { requireDay } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/undo.ts";

/** Takes the named tap back; the tap stays in the file, and so does the undo. */
export async function action({ request, params }: Route.ActionArgs) {
  const { day } = requireDay(params.dayId);
  const fields = await formFields(request);
  const outcome = farmFile().run.remove(day.id, String(fields.get("entryId") ?? ""), now());
  const isForPhone = fields.has("answer");
  if (outcome === "day-settled") return refuseSettled(isForPhone);
  return isForPhone
    ? Response.json({ events: farmFile().run.events(day.id) })
    : redirect(`/days/${day.id}/run`, 303);
}
