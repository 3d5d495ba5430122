import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { Visitor } from "#app/server/visitor/visitor.server.ts";

/** Owners remove and put back anything; others only what their own device recorded. @throws a 403 page */
export function requireOwnEntry(
  { file }: FarmContext,
  { role, deviceId }: Pick<Visitor, "role" | "deviceId">,
  entryId: string,
): void {
  if (role !== "owner" && file.access.deviceOf(entryId) !== deviceId)
    throw data("Someone else recorded this. Ask an owner to remove it.", { status: 403 });
}
