import { attachedDevices } from "#app/server/device/attached-devices.server.ts";
import { eventStream } from "#app/server/event-stream.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import type { Route } from "./+types/live-devices.ts";

/** The farm's attached devices as they are, and each reading as it comes, as server-sent events. */
export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const attached = attachedDevices(here);
  return eventStream(request, (say) => {
    const leave = attached.listen((status) => say("device", status));
    for (const status of leave ? attached.statuses() : []) say("device", status);
    return leave;
  });
}
