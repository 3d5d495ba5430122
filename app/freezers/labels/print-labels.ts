import { data, redirect } from "react-router";
import { tickedPacks } from "#app/freezers/ticked.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { printReady, readyLabel } from "#app/server/freezer/print-labels.server.ts";
import type { Route } from "./+types/print-labels.ts";

/** Writes down that the labels of some packs were printed, word for word, and leads to their sheet. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const { fields, entryId, packIds, back } = await tickedPacks(request);
  const labels = packIds.map((packId) => {
    const pack = here.file.pack.pack(packId);
    if (!pack)
      throw data("One of those packs was removed. Nothing was printed. Reload the page.", { status: 409 });
    const ready = readyLabel(here, pack);
    if (!ready.ok) throw data(`${ready.fault} Nothing was printed.`, { status: 422 });
    return ready.label;
  });
  const way = fields.get("way") === "printer" ? "printer" : "sheet";
  const printed = await printReady(here, entryId, labels, way);
  if (printed === undefined)
    throw data("No label printer is attached. Attach one under Farm, Devices, or print a sheet.", {
      status: 409,
    });
  if (printed < labels.length)
    throw data(
      `${printed} of ${labels.length} labels were printed, then the printer stopped: it is out of paper, or can't be reached. Put in a new roll, go back, and print again: those that came out are not printed twice.`,
      { status: 409 },
    );
  if (way === "printer") return redirect(back, 303);
  return redirect(`/freezers/labels/sheet.pdf?${packIds.map((id) => `pack=${id}`).join("&")}`, 303);
}
