import { data, redirect } from "react-router";
import { now } from "#app/server/clock.server.ts";
import { requireDay } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/take-back.ts";

/** Takes one bird back; its row stays in the file and is left out of every sum. */
export async function action({ request, params }: Route.ActionArgs) {
  const { day } = requireDay(params.dayId);
  const fields = await formFields(request);
  if (farmFile().pack.remove(day.id, String(fields.get("entryId") ?? ""), now()) === "day-settled") {
    throw data("This day is settled and locked. Reopen it under Settle first.", { status: 409 });
  }
  return redirect(`/days/${day.id}/pack`, 303);
}
