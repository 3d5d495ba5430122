import { redirect } from "react-router";
import { attachForm, CONNECTED_DEVICES } from "#app/farm/devices/device-form.ts";
import { DeviceSheet } from "#app/farm/devices/device-sheet.tsx";
import { PluggedIn } from "#app/farm/devices/plugged-in.tsx";
import { PrinterSheet } from "#app/farm/devices/printer-sheet.tsx";
import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { printerNow } from "#app/server/device/label-printer.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { useDevices } from "#app/ui/device/use-devices.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { DEVICE_NAMES } from "#app/words/device-words.ts";
import { ATTACHED_DEVICES } from "#core/quantity/device-reading.ts";
import { isAttached } from "#devices/attached/reading-line.ts";
import type { Route } from "./+types/devices.ts";

export const meta = () => [{ title: "Devices · Pale Morning" }];

export async function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const attached = attachedDevices(here);
  // One may have been removed since.
  attached.follow();
  return {
    addresses: here.file.attached.addresses(),
    devices: attached.statuses(),
    printer: await printerNow(here),
    entryId: newEntryId(),
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const sent = await submitted(here, request, attachForm);
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.attached.attach(sent.entry, sent.value), {});
  if (faults) return sent.refuse(faults);
  attachedDevices(here).follow();
  return redirect("/farm/devices", 303);
}

/** The farm's probe and scale: what each reads now, where it is found, and how to try it. */
export default function Devices({ loaderData, actionData }: Route.ComponentProps) {
  const { addresses, entryId } = loaderData;
  const devices = useDevices(loaderData.devices);
  return (
    <Page>
      <PageHead title="Devices" line="a probe, a scale, and a label printer" />
      {addresses.length === 0 && (
        <EmptyPlace heading="No device is attached">
          A probe in the bath makes the scald's countdown follow the water; a scale saves typing weights; a
          label printer prints each pack's label. They speak plain text over the farm's network; the file
          docs/devices.md says how to build or connect one.
        </EmptyPlace>
      )}
      <div className="grid items-start gap-5 md:grid-cols-2">
        {addresses.map(
          (address) =>
            isAttached(address.device) && (
              <DeviceSheet
                key={address.entryId}
                address={address}
                device={address.device}
                status={devices.find(({ device }) => device === address.device)}
              />
            ),
        )}
        {loaderData.printer && <PrinterSheet {...loaderData.printer} />}
        <Sheet heading="Attach a device">
          <FarmForm
            key={addresses.map((one) => one.entryId).join()}
            schema={attachForm}
            refusal={actionData}
            entryId={entryId}
            defaults={{ device: ATTACHED_DEVICES[0] }}
            submit="Attach"
          >
            {(fields) => (
              <>
                <ChoiceField
                  field={fields.device}
                  label="What is it?"
                  options={CONNECTED_DEVICES.map((value) => ({ value, label: DEVICE_NAMES[value] }))}
                />
                <TextField
                  field={fields.host}
                  label="Address"
                  hint="192.168.1.40, or 127.0.0.1 for one on this machine"
                />
                <TextField field={fields.port} label="Port" inputMode="numeric" />
              </>
            )}
          </FarmForm>
        </Sheet>
        <PluggedIn />
      </div>
    </Page>
  );
}
