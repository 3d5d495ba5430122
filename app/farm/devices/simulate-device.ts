import { data, redirect } from "react-router";
import { SIMULATED_DEEDS } from "#app/farm/devices/device-form.ts";
import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { printerNow } from "#app/server/device/label-printer.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields } from "#app/server/submitted.server.ts";
import { sayTo } from "#devices/attached/tcp-lines.ts";
import { LABEL_PRINTER } from "#devices/label-printer/label-printer-driver.ts";
import type { Route } from "./+types/simulate-device.ts";

/** Puts something on the simulated scale or into the simulated bath. A real device is never told anything. */
export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const fields = await formFields(request);
  const device = here.file.attached.addresses().find((one) => one.device === fields.get("device"));
  const status = attachedDevices(here)
    .statuses()
    .find((one) => one.device === device?.device);
  const deed = String(fields.get("deed"));
  const isPrinter = device?.device === LABEL_PRINTER;
  const deeds: Readonly<Record<string, string>> = isPrinter
    ? SIMULATED_DEEDS[LABEL_PRINTER]
    : status
      ? SIMULATED_DEEDS[status.device]
      : {};
  const isSimulated = isPrinter ? (await printerNow(here))?.isSimulated : status?.isSimulated;
  const line = Object.hasOwn(deeds, deed) ? deeds[deed] : undefined;
  if (!device || !isSimulated || line === undefined)
    throw data("This is no simulated device, or it is not running. Nothing was done.", { status: 409 });
  try {
    await sayTo(device, line);
  } catch {
    throw data("The simulated device can't be reached. Start it with npm run devices.", { status: 409 });
  }
  return redirect("/farm/devices", 303);
}
