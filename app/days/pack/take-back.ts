import { data, redirect } from "react-router";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import type { Route } from "./+types/take-back.ts";

/** Takes one bird back; its row stays in the file and is left out of every sum. */
export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const fields = await formFields(request);
  if (here.file.pack.remove(day.id, String(fields.get("entryId") ?? ""), here.now()) === "day-settled") {
    throw data("This day is settled and locked. Reopen it under Settle first.", { status: 409 });
  }
  const corrected = /^\d{1,9}$/.exec(String(fields.get("pack") ?? ""))?.[0];
  if (corrected) return redirect(`/days/${day.id}/pack/${corrected}`, 303);
  if (fields.get("back") === "cut") return redirect(`/days/${day.id}/cut`, 303);
  // A pack of parts goes back to its own product.
  const product = /^\d{1,9}$/.exec(String(fields.get("back") ?? ""))?.[0];
  return redirect(`/days/${day.id}/pack${product ? `/parts/${product}` : ""}`, 303);
}
