import { redirect } from "react-router";
import { answerToPhone } from "#app/days/run/taps/answer-to-phone.server.ts";
import { refuseSettled } from "#app/days/run/taps/refuse-settled.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireBareDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/undo.ts";

/** Takes the named tap back; the tap stays in the file, and so does the undo. What another phone tapped is left alone. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const day = requireBareDay(here, params.dayId);
  const fields = await formFields(request);
  const text = (name: string) => String(fields.get(name) ?? "");
  const { run } = here.file;
  const before = run.cursor(day.id);
  const outcome = run.remove(day.id, text("entryId"), here.now(), text("device"));
  const isForPhone = fields.has("answer");
  if (outcome === "day-settled") return refuseSettled(isForPhone);
  if (outcome === "not-own" && isForPhone)
    return new Response("Another phone tapped this. Undo it there.", { status: 422 });
  const reply = answerToPhone(here, day.id, before, text("after"));
  return isForPhone ? reply : redirect(`/days/${day.id}/run`, 303);
}
